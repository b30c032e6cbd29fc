/** What the code on a tag of ours says: the address of its ticket, on whatever host it was printed. */
const OURS = /\/t\/([0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12})\/?$/i;

/** The ticket that a scanned code names; undefined when it is none of our tags. */
export function ticketOnTag(scanned: string): string | undefined {
  return OURS.exec(scanned.trim())?.[1]?.toLowerCase();
}
