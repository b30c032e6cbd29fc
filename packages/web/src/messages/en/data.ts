/** What a lead does with all that the shop wrote. */
export const data = {
  title: 'The shop’s data',
  onlyLead: 'Only a lead looks after the shop’s data.',
  failed: 'The backups could not be read',
  backups: {
    title: 'Backups',
    elsewhere:
      'This Nodo works on a database that somebody else runs. Backups of it are made there; ask whoever looks after it.',
    none: 'No backup yet',
    latest: (when: string) => `Last backup ${when}`,
    running: 'Making a backup',
    now: 'Back up now',
    daily: (keep: number) =>
      `One a day comes by itself while Nodo runs, and each is read back before it counts. The last ${keep} are kept.`,
    takenNever:
      'None has been taken off this computer yet. Fire, water and thieves take all copies that lie together.',
    taken: (when: string) => `Last taken off this computer ${when}`,
    take: 'Take the latest along',
    takeOne: (when: string) => `Take the backup of ${when} along`,
    size: (megabytes: string) => `${megabytes} MB`,
    days: (made: number, of: number) =>
      of === 1 && made === 1 ? 'Backed up today' : `Backups on ${made} of the last ${of} days`,
    hasOne: (day: string) => `${day}: backed up`,
    hasNone: (day: string) => `${day}: none`,
    all: (kept: number) => `All ${kept} that are kept`,
    failed: (when: string, why: string) => `The backup of ${when} failed: ${why}`,
    why: {
      'no-passphrase': 'no passphrase is set.',
      'no-room': 'there is not enough room on the disk. Make room, then back up.',
      'cannot-write': 'its place cannot be written to. Is the disk or the stick plugged in?',
      'database-failed':
        'the database could not be read. Try again; if it goes on, look into log/backup.log.',
      failed: 'something went wrong. More of it stands in log/backup.log.',
    },
    passphrase: 'Passphrase',
    first: 'Backups begin with a passphrase',
    firstLead:
      'Every backup is sealed with it, so that whoever finds the file reads nothing of your customers. Without it nobody opens a backup, you neither: write it down, and keep the paper where the computer is not.',
    suggest: 'Suggest one',
    short: (least: number) => `A passphrase of ${least} characters or more`,
    written: 'It is written down, and the paper does not lie beside this computer',
    keep: 'How many are kept',
    begin: 'Seal and back up',
    lacksPaper: 'Say that it is written down',
    setOn: (when: string) => `Sealed with the passphrase of ${when}.`,
    change: 'Another passphrase',
    changeLead:
      'The next backups open with the new one. Those of before keep the one that they were made with.',
    changed: 'The next backups open with the new passphrase.',
    back: 'To bring one back',
    backLead: 'On any computer with Nodo, into an empty folder, also from an older version:',
    backCommand: 'npm run restore -- FILE',
    erasedLead:
      'A backup still holds whoever was erased after it was made. The list of their numbers, laid beside the file, erases them again.',
    erased: 'Take the list of the erased along',
  },
};
