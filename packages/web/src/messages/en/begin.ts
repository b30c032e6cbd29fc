/** A shop of one's own that begins. */
export const begin = {
  title: 'Your own shop',
  lead: 'Nothing is in it yet. Say what stands on its papers and when you work; all of it can be changed under Shop.',
  shop: 'The shop',
  you: 'You',
  name: 'Your name',
  initials: 'Letters on your mark',
  hours: 'When you work',
  namesFirst: 'First the shop’s name and yours.',
  submit: 'Open the shop',
  firstHour: {
    title: 'The first hour',
    takeIn: 'Take in the first machine',
    takeInWhy: 'What the customer says, as they say it.',
    tag: 'Print its tag and hang it on the machine',
    tagAfter: 'Its tag can be printed once it is taken in.',
    diagnose: 'Check it on the bench',
    diagnoseWhy: 'The next check stands there with the reason; answer it, and so on.',
    people: 'Invite who else works here',
    peopleWhy: 'Each gets a code for the first sign-in.',
    done: 'done',
  },
} as const;
