import { useEffect, useMemo } from 'react';

/** A picture that is not on the server yet. */
export function Preview({ blob, account }: { readonly blob: Blob; readonly account: string }) {
  const address = useMemo(() => URL.createObjectURL(blob), [blob]);
  useEffect(() => () => URL.revokeObjectURL(address), [address]);
  return <img src={address} alt={account} className="max-h-28 rounded-md border border-rule" />;
}
