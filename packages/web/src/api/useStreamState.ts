import { useEffect, useState } from 'react';
import { liveStream } from './liveStream.ts';

/** Whether this page's stream is open. */
export function useStreamState(): 'live' | 'lost' {
  const [state, setState] = useState<'live' | 'lost'>('live');
  useEffect(() => liveStream.onState(setState), []);
  return state;
}
