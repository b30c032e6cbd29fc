import type { SampleSide } from '@nodo/core';
import type { BarSeriesOption } from 'echarts/charts';
import type { GridComponentOption } from 'echarts/components';
import type { ComposeOption } from 'echarts/core';
import type { ChartLook } from '../../../drawing/chart/useChart.ts';

export type LengthOption = ComposeOption<BarSeriesOption | GridComponentOption>;

const LETTERS = 13;

/**
 * A bar a stitch, one after the other as it was sewn.
 * @param spans how long each is in millimetres, and whether threads passed a hole in it: then it stands hollow
 */
export function lengthOption(
  spans: readonly { readonly length: number; readonly skips: boolean }[],
  side: SampleSide,
  look: ChartLook,
  words: { readonly stitch: string; readonly length: string },
): LengthOption {
  const letters = { color: look.quiet, fontFamily: look.font, fontSize: LETTERS };
  const colour = side === 'top' ? look.above : look.below;
  return {
    animation: false,
    textStyle: { fontFamily: look.font, fontSize: LETTERS, color: look.ink },
    grid: { left: 40, right: 8, top: 22, bottom: 42 },
    xAxis: {
      type: 'category',
      data: spans.map((_, index) => String(index + 1)),
      name: words.stitch,
      nameLocation: 'middle',
      nameGap: 26,
      nameTextStyle: letters,
      axisLabel: letters,
      axisLine: { lineStyle: { color: look.quiet } },
    },
    yAxis: {
      type: 'value',
      name: words.length,
      nameTextStyle: letters,
      axisLabel: letters,
      splitLine: { lineStyle: { color: look.rule } },
    },
    series: [
      {
        type: 'bar',
        silent: true,
        barCategoryGap: '25%',
        data: spans.map(({ length, skips }) => ({
          value: length,
          itemStyle: skips
            ? { color: 'transparent', borderColor: look.ink, borderWidth: 2, borderType: 'dashed' }
            : { color: colour },
        })),
      },
    ],
  };
}
