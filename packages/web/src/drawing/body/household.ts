import type { At, Body } from './body.ts';

/**
 * The head that plastic machines share: the thread runs down the right slot through the discs, round the check spring
 * at its foot, up the left slot to the take-up and down again.
 * @param into how it comes from the spool into the right slot
 */
function slotted({
  spool,
  guides,
  into,
}: {
  readonly spool: At;
  readonly guides: At;
  readonly into: string;
}): Omit<Body, 'top' | 'castings' | 'edges' | 'fine' | 'parts'> {
  return {
    channel: 'M94 94V156C94 182 56 182 56 156V102',
    spool: { kind: 'lying', at: [spool] },
    needles: [66],
    plate: 262,
    catcher: 'horizontal',
    takeUp: 'M40 128L56 108',
    thread: `${into}V156C94 182 56 182 56 156V112C56 102 48 102 48 112V172L54 184L62 202L66 244C66 254 58 258 46 260`,
    path: {
      spool,
      guides,
      discs: [94, 112],
      'check-spring': [75, 175],
      'take-up': [53, 106],
      'lower-guides': [52, 180],
      'bar-guide': [62, 202],
      needle: [66, 246],
    },
  };
}

/** Plastic, free arm, horizontal spool, both slots of the thread path in the front. */
export const dropIn: Body = {
  top: 58,
  castings: [
    'M30 108Q30 92 46 92H292Q314 92 314 114V262H326V328Q326 340 314 340H20Q8 340 8 328V262H240V172Q240 158 226 158H112V176Q112 184 104 184H38Q30 184 30 176Z',
    'M314 116H321Q328 116 328 140T321 164H314Z',
  ],
  edges: ['M8 262H240', 'M150 262V340', 'M277 126m-17 0a17 17 0 1 0 34 0a17 17 0 1 0 -34 0'],
  fine: [
    'M277 126V112',
    'M277 178m-11 0a11 11 0 1 0 22 0a11 11 0 1 0 -22 0M277 178V169',
    'M256 222H298V234H256Z',
    'M318 122V158',
    'M280 92V85H292V92M286 85V77',
    'M126 92V86Q126 82 133 82',
    'M292 312H312V322H292Z',
  ],
  ...slotted({
    spool: [198, 77],
    guides: [130, 83],
    into: 'M172 77C156 74 142 78 130 83C112 88 94 84 94 98',
  }),
  parts: { winder: [286, 84], 'hand-wheel': [320, 140], selector: [277, 126], power: [302, 317] },
};

/** A longer arm with a screen, flat on top: the same way of the thread. */
export const dropInMagnet: Body = {
  top: 60,
  castings: [
    'M26 104Q26 94 36 94H326Q336 94 336 104V262H340V332Q340 340 332 340H8Q0 340 0 332V262H264V166Q264 158 256 158H116V178Q116 184 110 184H32Q26 184 26 178Z',
    'M336 120H340Q346 120 346 140T340 160H336Z',
  ],
  edges: ['M0 262H264', 'M274 108H326V146H274Z', 'M116 108H256'],
  fine: [
    'M282 118H308M282 126H318M282 134H300',
    'M274 158H294V170H274ZM306 158H326V170H306Z',
    'M132 144m-5 0a5 5 0 1 0 10 0a5 5 0 1 0 -10 0M150 144m-5 0a5 5 0 1 0 10 0a5 5 0 1 0 -10 0M168 144m-5 0a5 5 0 1 0 10 0a5 5 0 1 0 -10 0',
    'M180 262V340',
    'M292 94V87H304V94M298 87V79',
    'M134 94V88Q134 84 141 84',
    'M306 312H326V322H306Z',
  ],
  ...slotted({
    spool: [212, 79],
    guides: [138, 85],
    into: 'M186 79C168 76 152 80 138 85C116 90 94 86 94 100',
  }),
  parts: { winder: [298, 86], 'hand-wheel': [339, 140], selector: [300, 127], power: [316, 317] },
};

/** Metal, dial and discs on the front of the head, the hook upright in the free arm behind a door. */
export const frontLoading: Body = {
  top: 34,
  castings: [
    'M26 98Q26 88 36 88H304Q316 88 316 100V322H328V340H92V322H248V306H20Q10 306 10 296V262H248V156Q248 146 238 146H100V178Q100 184 94 184H32Q26 184 26 178Z',
    'M316 104H324Q332 104 332 138T324 172H316Z',
  ],
  edges: [
    'M10 262H248',
    'M110 262V306',
    'M96 92V146',
    'M282 112m-15 0a15 15 0 1 0 30 0a15 15 0 1 0 -30 0',
    'M282 158m-15 0a15 15 0 1 0 30 0a15 15 0 1 0 -30 0',
    'M258 40V88',
  ],
  fine: [
    'M282 112V100M282 158L292 150',
    'M264 204H300V216H264Z',
    'M322 112V164',
    'M104 280V290',
    'M304 88V80H314V88M309 80V72',
    'M146 88V80Q146 76 152 76',
    'M286 298H308V308H286Z',
    'M104 334H316',
  ],
  spool: { kind: 'upright', at: [[228, 66]] },
  needles: [60],
  plate: 262,
  catcher: 'oscillating',
  takeUp: 'M30 122L45 104',
  thread:
    'M216 56C190 60 166 74 150 79L88 98V124C88 146 66 150 60 138L45 108C43 98 36 98 36 108V166L46 182L56 202L60 244C60 254 52 258 40 260',
  path: {
    spool: [228, 66],
    guides: [150, 79],
    discs: [76, 126],
    'check-spring': [62, 142],
    'take-up': [44, 104],
    'lower-guides': [44, 178],
    'bar-guide': [56, 202],
    needle: [60, 246],
  },
  parts: { winder: [309, 80], 'hand-wheel': [324, 138], selector: [282, 112], power: [297, 303] },
};

/** Two hands wide: one dial, a spool on its pin, discs in the open. */
export const mini: Body = {
  top: 96,
  castings: [
    'M82 168Q82 150 100 150H240Q262 150 262 172V290H270V330Q270 340 260 340H80Q70 340 70 330V290H206V208Q206 196 194 196H148V206Q148 212 142 212H88Q82 212 82 206Z',
    'M262 178H269Q276 178 276 198T269 218H262Z',
  ],
  edges: ['M70 290H206', 'M234 236m-13 0a13 13 0 1 0 26 0a13 13 0 1 0 -26 0'],
  fine: [
    'M234 236V226',
    'M226 178H242V188H226Z',
    'M266 184V212',
    'M160 150V144Q160 140 166 140',
    'M236 150V144H246V150M241 144V137',
    'M240 316H258V326H240Z',
  ],
  spool: { kind: 'upright', at: [[206, 128]] },
  needles: [110],
  plate: 290,
  catcher: 'horizontal',
  takeUp: 'M88 188L101 172',
  thread:
    'M194 120C182 128 174 138 164 143L144 160V174C144 190 126 192 120 184L101 176C99 166 92 168 92 178V200L100 212L106 230L110 272C110 282 102 286 90 288',
  path: {
    spool: [206, 128],
    guides: [164, 143],
    discs: [134, 174],
    'check-spring': [120, 184],
    'take-up': [100, 172],
    'lower-guides': [98, 208],
    'bar-guide': [106, 230],
    needle: [110, 274],
  },
  parts: { winder: [241, 143], 'hand-wheel': [269, 198], selector: [234, 236], power: [249, 321] },
};
