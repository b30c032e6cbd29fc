import { createContext, useContext } from 'react';
import type { InstrumentBench } from './instrumentBench.ts';

export const InstrumentContext = createContext<InstrumentBench | undefined>(undefined);

/**
 * What the instrument on the screen works on.
 * @throws Error outside of an instrument
 */
export function useInstrumentBench(): InstrumentBench {
  const bench = useContext(InstrumentContext);
  if (!bench) throw new Error('useInstrumentBench needs an InstrumentContext above it');
  return bench;
}
