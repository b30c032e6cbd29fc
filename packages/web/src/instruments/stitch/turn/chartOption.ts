import type { StitchScene } from '@nodo/core';
import type { LineSeriesOption } from 'echarts/charts';
import type { GridComponentOption } from 'echarts/components';
import type { ComposeOption } from 'echarts/core';
import type { ChartLook } from '../../../drawing/chart/useChart.ts';

export type ChartOption = ComposeOption<LineSeriesOption | GridComponentOption>;

export interface ChartWords {
  readonly needle: string;
  readonly takeUp: string;
  readonly hook: string;
  readonly wanted: string;
  readonly given: string;
  readonly heights: string;
  readonly turned: string;
  readonly thread: string;
  readonly degrees: (value: number) => string;
}

/** A point every so many steps is as many as a screen shows. */
const EVERY = 4;
const LETTERS = 13;
/** Room left of the axes for their figures, right of them for the names of the lines. */
export const SIDES = { left: 46, right: 96 };
/** Three charts one over the other, in parts of the whole. */
const GRIDS = [
  { top: '7%', height: '26%' },
  { top: '41%', height: '18%' },
  { top: '67%', height: '26%' },
] as const;

/** One turn over three grids: what goes up and down, how far the hook is, and thread wanted against thread given. */
export function chartOption(scene: StitchScene, look: ChartLook, words: ChartWords): ChartOption {
  const { turn } = scene;
  const steps = turn.shaft.length;
  const points = (list: Float64Array, scale = 1) => {
    const taken = Array.from({ length: Math.ceil(steps / EVERY) }, (_, index) => index * EVERY);
    const values = taken.map((step) => [(step * 360) / steps, (list[step] ?? 0) * scale]);
    return values;
  };
  const line = (
    grid: number,
    name: string,
    color: string,
    type: 'solid' | 'dashed' | 'dotted',
    data: readonly number[][],
  ): LineSeriesOption => ({
    type: 'line',
    name,
    data: data.map((point) => [...point]),
    xAxisIndex: grid,
    yAxisIndex: grid,
    showSymbol: false,
    silent: true,
    lineStyle: { color, width: 2, type },
    endLabel: {
      show: true,
      formatter: name,
      color,
      fontFamily: look.font,
      fontSize: LETTERS,
      distance: 6,
    },
    labelLayout: { moveOverlap: 'shiftY' },
  });
  const deepest = Math.min(...turn.takeUp.y);
  const eye = turn.takeUp.y.map((y) => y - deepest);
  return {
    animation: false,
    textStyle: { fontFamily: look.font, fontSize: LETTERS, color: look.ink },
    grid: GRIDS.map((grid) => ({ ...SIDES, ...grid })),
    xAxis: GRIDS.map((_, gridIndex) => ({
      gridIndex,
      type: 'value',
      min: 0,
      max: 360,
      interval: 45,
      axisLabel: {
        show: gridIndex === GRIDS.length - 1,
        hideOverlap: true,
        formatter: words.degrees,
        color: look.quiet,
        fontFamily: look.font,
        fontSize: LETTERS,
      },
      axisLine: { lineStyle: { color: look.quiet } },
      splitLine: { lineStyle: { color: look.rule } },
    })),
    yAxis: [words.heights, words.turned, words.thread].map((name, gridIndex) => ({
      gridIndex,
      type: 'value',
      name,
      nameGap: 8,
      nameTextStyle: {
        color: look.quiet,
        align: 'left',
        fontFamily: look.font,
        fontSize: LETTERS,
        padding: [0, 0, 0, -SIDES.left],
      },
      splitNumber: 3,
      axisLabel: { color: look.quiet, fontFamily: look.font, fontSize: LETTERS },
      splitLine: { lineStyle: { color: look.rule } },
    })),
    series: [
      line(0, words.needle, look.ink, 'solid', points(turn.lift)),
      line(0, words.takeUp, look.quiet, 'dashed', points(eye)),
      line(1, words.hook, look.ink, 'solid', points(turn.hook, 180 / Math.PI)),
      line(2, words.wanted, look.above, 'solid', points(turn.wanted)),
      line(2, words.given, look.below, 'dashed', points(turn.given)),
    ],
  };
}
