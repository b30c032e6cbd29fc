import { useEffect, useState } from 'react';
import { stream } from './client.ts';

/** Whether this page's stream is open. */
export function useStreamState(): 'live' | 'lost' {
  const [state, setState] = useState(stream.state);
  useEffect(() => stream.onState(setState), []);
  return state;
}
