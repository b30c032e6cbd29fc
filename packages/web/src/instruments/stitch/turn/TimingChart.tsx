import type { StitchScene } from '@nodo/core';
import { LineChart } from 'echarts/charts';
import { GridComponent } from 'echarts/components';
import { use } from 'echarts/core';
import { LabelLayout } from 'echarts/features';
import { CanvasRenderer } from 'echarts/renderers';
import { type PointerEvent, useCallback } from 'react';
import { type ChartLook, useChart } from '../../../drawing/chart/useChart.ts';
import { instruments } from '../../../messages/instruments.ts';
import { chartOption, SIDES } from './chartOption.ts';

use([LineChart, GridComponent, LabelLayout, CanvasRenderer]);

/** A turn as a chart; its cursor stands where the wheel stands, and turns it where it is dragged. */
export default function TimingChart({
  scene,
  step,
  onStep,
}: {
  readonly scene: StitchScene;
  readonly step: number;
  readonly onStep: (step: number) => void;
}) {
  const steps = scene.turn.shaft.length;
  const words = instruments.stitch.turn;
  const optionOf = useCallback(
    (look: ChartLook) => chartOption(scene, look, words.chart),
    [scene, words],
  );
  const { box, wide } = useChart(optionOf);
  const inner = Math.max(1, wide - SIDES.left - SIDES.right);
  const turnTo = ({ currentTarget, clientX, buttons }: PointerEvent<HTMLDivElement>) => {
    if (buttons === 0) return;
    const { left } = currentTarget.getBoundingClientRect();
    const share = Math.min(1, Math.max(0, (clientX - left - SIDES.left) / inner));
    onStep(Math.min(steps - 1, Math.round(share * steps)));
  };
  return (
    <div
      className="relative h-[30rem] cursor-ew-resize touch-pan-y select-none"
      role="img"
      aria-label={words.chart.account(Math.round((step * 360) / steps))}
      onPointerDown={turnTo}
      onPointerMove={turnTo}
      data-timing-chart
    >
      <div ref={box} className="h-full" />
      <div
        className="pointer-events-none absolute top-6 bottom-8 w-0.5 bg-own"
        style={{ left: `${SIDES.left + (step / steps) * inner}px` }}
        data-cursor
      />
    </div>
  );
}
