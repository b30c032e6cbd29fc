import { useBlobAddress } from '../../ui/useBlobAddress.ts';

/** A picture that is not on the server yet. */
export function Preview({ blob, account }: { readonly blob: Blob; readonly account: string }) {
  const address = useBlobAddress(blob);
  return <img src={address} alt={account} className="max-h-28 rounded-md border border-rule" />;
}
