import { useEffect, useMemo } from 'react';

/** An address at which the page shows a file that it holds; good while the view is mounted. */
export function useBlobAddress(blob: Blob): string {
  const address = useMemo(() => URL.createObjectURL(blob), [blob]);
  useEffect(() => () => URL.revokeObjectURL(address), [address]);
  return address;
}
