import {
  balanceOver,
  balanceRead,
  DIAL,
  READ_BY_EYE,
  type TensionBelief,
  type TensionTry,
} from '@nodo/core';
import type { LineSeriesOption } from 'echarts/charts';
import type { GridComponentOption } from 'echarts/components';
import type { ComposeOption } from 'echarts/core';
import type { ChartLook } from '../../../drawing/chart/useChart.ts';

export type CurveOption = ComposeOption<LineSeriesOption | GridComponentOption>;

export interface CurveWords {
  readonly dial: string;
  readonly below: string;
  readonly top: string;
}

const LETTERS = 13;
const POINTS = 37;

/** The curve that the tries make likely, its band, and each try with what it may be misread by. */
export function curveOption(
  belief: TensionBelief,
  tries: readonly TensionTry[],
  wanted: number,
  look: ChartLook,
  words: CurveWords,
): CurveOption {
  const screw = tries.at(-1)?.screw ?? 0;
  const dials = Array.from(
    { length: POINTS },
    (_, place) => DIAL.least + (place * (DIAL.most - DIAL.least)) / (POINTS - 1),
  );
  const spreads = balanceOver(belief, dials, screw);
  const along = (read: (spread: (typeof spreads)[number]) => number) =>
    spreads.map((spread, place) => [dials[place] ?? 0, read(spread)]);
  const letters = { color: look.quiet, fontFamily: look.font, fontSize: LETTERS };
  const quiet = { type: 'line', showSymbol: false, silent: true } as const;
  return {
    animation: false,
    textStyle: { fontFamily: look.font, fontSize: LETTERS, color: look.ink },
    grid: { left: 58, right: 12, top: 10, bottom: 44 },
    xAxis: {
      type: 'value',
      min: DIAL.least,
      max: DIAL.most,
      interval: 1,
      name: words.dial,
      nameLocation: 'middle',
      nameGap: 26,
      nameTextStyle: letters,
      axisLabel: letters,
      axisLine: { lineStyle: { color: look.quiet }, onZero: false },
      splitLine: { lineStyle: { color: look.rule } },
    },
    yAxis: {
      type: 'value',
      min: -1,
      max: 1,
      // Below is drawn below.
      inverse: true,
      interval: 1,
      axisLabel: {
        ...letters,
        formatter: (value: number) => (value === 0 ? '0' : value > 0 ? words.below : words.top),
      },
      splitLine: { lineStyle: { color: look.rule } },
    },
    series: [
      { ...quiet, data: along(({ low }) => low), stack: 'band', lineStyle: { opacity: 0 } },
      {
        ...quiet,
        data: along(({ low, high }) => high - low),
        stack: 'band',
        stackStrategy: 'all',
        lineStyle: { opacity: 0 },
        areaStyle: { color: look.cloth, opacity: 1 },
      },
      {
        ...quiet,
        data: [
          [DIAL.least, wanted],
          [DIAL.most, wanted],
        ],
        lineStyle: { color: look.ink, type: 'dashed', width: 1 },
      },
      { ...quiet, data: along(({ middle }) => middle), lineStyle: { color: look.ink, width: 2 } },
      ...tries.map((one): LineSeriesOption => {
        const mean = balanceRead(one);
        const error = (2 * READ_BY_EYE) / Math.sqrt(one.read.length);
        return {
          ...quiet,
          data: [
            [one.dial, Math.max(-1, mean - error)],
            [one.dial, Math.min(1, mean + error)],
          ],
          lineStyle: { color: look.lit, width: 2 },
        };
      }),
      {
        // Points alone, in the order of the tries.
        ...quiet,
        showSymbol: true,
        symbol: 'circle',
        symbolSize: 12,
        lineStyle: { opacity: 0 },
        z: 3,
        itemStyle: { color: look.lit },
        label: {
          show: true,
          position: 'right',
          formatter: ({ dataIndex }) => String(dataIndex + 1),
          color: look.ink,
          fontFamily: look.font,
          fontSize: LETTERS,
          fontWeight: 600,
        },
        data: tries.map((one) => [one.dial, balanceRead(one)]),
      },
    ],
  };
}
