/** What a needle can have struck when it broke, and where its pieces then go. Common practice. */
export interface StruckPlace {
  readonly id: string;
  readonly title: string;
  /** Where to look for what is missing, the likeliest first. */
  readonly lookIn: readonly string[];
}

export const STRUCK_PLACES = [
  {
    id: 'plate',
    title: 'Needle plate',
    lookIn: [
      'on the bed and round the foot',
      'between the feed teeth, plate off',
      'in the work, along the last stitches',
      'on the floor in front: pieces fly towards the operator',
    ],
  },
  {
    id: 'foot',
    title: 'Presser foot',
    lookIn: [
      'under the foot and in its screw slot',
      'on the bed and in the work',
      'on the floor in front: pieces fly towards the operator',
    ],
  },
  {
    id: 'case',
    title: 'Bobbin case',
    lookIn: [
      'in the case, under its spring and under the bobbin',
      'in the race, hook turned once round by hand',
      'with a magnet in the bottom of the hook room',
    ],
  },
  {
    id: 'hook',
    title: 'Hook',
    lookIn: [
      'in the race and behind the hook',
      'with a magnet in the bottom of the hook room',
      'in the oil wad or the lint below',
    ],
  },
  {
    id: 'pin',
    title: 'A pin or a zip in the work',
    lookIn: ['in the work, both layers', 'round the pin or the zip', 'on the bed and the floor'],
  },
  {
    id: 'pulled',
    title: 'Nothing: pulled or bent in thick work',
    lookIn: [
      'in the work, where it stuck',
      'under the plate at its hole',
      'a stub in the needle clamp: take it out and measure it too',
    ],
  },
] as const satisfies readonly StruckPlace[];
export type StruckId = (typeof STRUCK_PLACES)[number]['id'];
