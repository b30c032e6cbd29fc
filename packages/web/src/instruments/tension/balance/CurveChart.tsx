import type { TensionBelief, TensionTry } from '@nodo/core';
import { LineChart } from 'echarts/charts';
import { GridComponent } from 'echarts/components';
import { use } from 'echarts/core';
import { CanvasRenderer } from 'echarts/renderers';
import { useCallback } from 'react';
import { type ChartLook, useChart } from '../../../drawing/chart/useChart.ts';
import { instruments } from '../../../messages/instruments.ts';
import { curveOption } from './curveOption.ts';

use([LineChart, GridComponent, CanvasRenderer]);

/** Dial against balance: what the tries make likely, and the tries themselves. */
export default function CurveChart({
  belief,
  tries,
  wanted,
  best,
}: {
  readonly belief: TensionBelief;
  readonly tries: readonly TensionTry[];
  readonly wanted: number;
  /** What it comes to, in words. */
  readonly best: string;
}) {
  const words = instruments.tension.chart;
  const optionOf = useCallback(
    (look: ChartLook) => curveOption(belief, tries, wanted, look, words),
    [belief, tries, wanted, words],
  );
  const { box } = useChart(optionOf);
  return (
    <div className="h-64" role="img" aria-label={words.account(best)} data-curve-chart>
      <div ref={box} className="h-full" />
    </div>
  );
}
