import { useBackupsQuery } from '../../api/client.ts';
import { later } from '../../messages/later.ts';
import { NotRead } from '../../session/NotRead.tsx';
import { useSession } from '../../session/SessionContext.tsx';
import { ShopTabs } from '../../shop/ShopTabs.tsx';
import { Blank } from '../../ui/Stitches.tsx';
import { TextLink } from '../../ui/TextLink.tsx';
import { Backups } from './Backups.tsx';
import { Calendars } from './Calendars.tsx';
import { Exports } from './Exports.tsx';
import { Imports } from './Imports.tsx';

const ASK_EVERY_MS = 60_000;
/** While one is made. */
const ASK_SOON_MS = 1_000;

/** What a lead does with all that the shop wrote. */
export default function ShopDataView() {
  const session = useSession();
  const words = later.data;
  if (session.person.role !== 'lead') return <Blank title={words.title} text={words.onlyLead} />;
  return <ForLead />;
}

function ForLead() {
  const words = later.data;
  const { data, error, refetch } = useBackupsQuery(undefined, {
    pollingInterval: ASK_EVERY_MS,
    refetchOnMountOrArgChange: true,
  });
  useBackupsQuery(undefined, { pollingInterval: ASK_SOON_MS, skip: !data?.running });
  if (data === undefined) return <NotRead title={words.failed} fault={error} again={refetch} />;
  return (
    <div className="max-w-5xl gutter py-4">
      <ShopTabs />
      <h1 className="mb-3 text-2xl font-bold">{words.title}</h1>
      <div className="flex flex-col gap-10">
        <Backups state={data} />
        <Exports />
        <Imports />
        <Calendars />
      </div>
      <p className="mt-6 text-sm text-quiet">
        <TextLink to="/third-party-notices.txt" reloadDocument>
          {words.notices}
        </TextLink>
      </p>
    </div>
  );
}
