import type { Body } from './body.ts';

/** A slender straight-stitch head on a flat bed; the thread enters the needle from the side. */
export const sideNeedle: Body = {
  top: 46,
  castings: [
    'M14 278H322V340H14Z',
    'M6 262H330V278H6Z',
    'M34 114Q38 100 54 100H236Q290 100 298 146V262H250Q252 204 234 170Q224 152 204 150H92V180Q92 186 86 186H40Q34 186 34 180Z',
    'M298 98H314Q320 98 320 106V178Q320 186 314 186H298Z',
  ],
  edges: ['M26 310H310', 'M306 104V180', 'M274 196V244'],
  fine: [
    'M267 218H281',
    'M86 108V150',
    'M146 100V92Q146 88 152 88',
    'M288 108V92H298V100M293 92V84',
    'M294 318H312V328H294Z',
  ],
  spool: { kind: 'upright', at: [[210, 78]] },
  needles: [57],
  plate: 262,
  catcher: 'rotary',
  takeUp: 'M38 140L48 124',
  thread:
    'M198 70C182 78 166 90 150 91L96 106L86 130V146C86 168 66 170 62 158L48 128C46 118 40 118 40 128V176L52 188L66 202C66 220 62 236 57 246C52 254 44 258 34 260',
  path: {
    spool: [210, 78],
    guides: [150, 91],
    discs: [74, 144],
    'check-spring': [63, 162],
    'take-up': [47, 123],
    'lower-guides': [46, 182],
    'bar-guide': [66, 203],
    needle: [58, 246],
  },
  parts: { winder: [293, 92], 'hand-wheel': [310, 142], selector: [274, 218], power: [303, 323] },
};

/** A long arm in metal, a cone behind it with its eye above, a knee lever below. */
export const straightFast: Body = {
  top: 12,
  castings: [
    'M2 262H338V322H2Z',
    'M22 322H50V340H22ZM290 322H318V340H290Z',
    'M24 102Q24 92 34 92H318Q330 92 330 104V262H262V162Q262 152 252 152H104V178Q104 184 98 184H30Q24 184 24 178Z',
    'M330 108H336Q343 108 343 138T336 168H330Z',
  ],
  edges: ['M108 106H250', 'M316 92V20H278', 'M236 322V332H206V340'],
  fine: [
    'M296 196m-13 0a13 13 0 1 0 26 0a13 13 0 1 0 -26 0M296 196V186',
    'M284 140H310M300 134V146',
    'M98 98V152',
    'M338 114V162',
    'M168 92V84H180V92',
    'M226 92V85H238V92M232 85V77',
    'M306 300H326V310H306Z',
  ],
  spool: { kind: 'cone', at: [[286, 72]] },
  needles: [58],
  plate: 262,
  catcher: 'rotary',
  takeUp: 'M30 128L44 112',
  thread:
    'M286 52L280 21L174 84L122 100L92 122V136C92 158 72 160 66 148L44 116C42 106 36 106 36 116V168L46 182L68 202C68 220 62 238 58 246C52 254 44 258 34 260',
  path: {
    spool: [286, 72],
    guides: [174, 84],
    discs: [80, 134],
    'check-spring': [68, 152],
    'take-up': [43, 111],
    'lower-guides': [44, 179],
    'bar-guide': [67, 203],
    needle: [58, 246],
  },
  parts: { winder: [232, 84], 'hand-wheel': [336, 138], selector: [296, 196], power: [316, 305] },
};

/** A head let into its table, oil pan below, a large wheel for the belt. */
export const roundShankStraight: Body = {
  top: 12,
  castings: [
    'M44 298H296Q290 328 272 328H68Q50 328 44 298Z',
    'M0 282H340V298H0Z',
    'M10 262H326V282H10Z',
    'M36 112Q36 98 50 98H260Q316 98 316 152V262H258V182Q258 158 234 158H96V180Q96 186 90 186H42Q36 186 36 180Z',
    'M316 106H330Q336 106 336 114V196Q336 204 330 204H316Z',
  ],
  edges: ['M22 298V340M318 298V340', 'M322 112V198', 'M332 98V18H296', 'M310 84H340'],
  fine: [
    'M286 204m-13 0a13 13 0 1 0 26 0a13 13 0 1 0 -26 0M286 204V194',
    'M264 240H300V250H264Z',
    'M90 104V158',
    'M196 98V90H208V98M112 98V90H124V98',
    'M240 98V91H252V98M246 91V83',
    'M302 304H322V318H302Z',
  ],
  spool: { kind: 'cone', at: [[322, 66]] },
  needles: [62],
  plate: 262,
  catcher: 'rotary',
  takeUp: 'M38 134L50 118',
  thread:
    'M322 46L300 19L202 90L118 92L92 118V140C92 160 74 164 68 152L50 122C48 112 42 112 42 122V176L46 188L54 202C54 220 58 236 62 246C68 254 76 258 88 260',
  path: {
    spool: [322, 66],
    guides: [202, 90],
    discs: [80, 140],
    'check-spring': [69, 156],
    'take-up': [49, 117],
    'lower-guides': [44, 183],
    'bar-guide': [54, 203],
    needle: [62, 246],
  },
  parts: { winder: [246, 90], 'hand-wheel': [326, 155], selector: [286, 204], power: [312, 311] },
};
