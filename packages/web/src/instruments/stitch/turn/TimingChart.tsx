import type { StitchScene } from '@nodo/core';
import { LineChart } from 'echarts/charts';
import { GridComponent } from 'echarts/components';
import { type EChartsType, init, use } from 'echarts/core';
import { LabelLayout } from 'echarts/features';
import { CanvasRenderer } from 'echarts/renderers';
import { type PointerEvent, useEffect, useRef, useState } from 'react';
import { instruments } from '../../../messages/instruments.ts';
import { type ChartLook, chartOption, SIDES } from './chartOption.ts';

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
  const box = useRef<HTMLDivElement>(null);
  const chart = useRef<EChartsType>(undefined);
  const [wide, setWide] = useState(0);
  const steps = scene.turn.shaft.length;
  const words = instruments.stitch.turn;
  useEffect(() => {
    const within = box.current;
    if (!within) return undefined;
    const drawn = init(within);
    chart.current = drawn;
    const fit = () => {
      drawn.resize();
      setWide(within.clientWidth);
    };
    fit();
    const sized = new ResizeObserver(fit);
    sized.observe(within);
    return () => {
      sized.disconnect();
      drawn.dispose();
      chart.current = undefined;
    };
  }, []);
  useEffect(() => {
    const draw = () => {
      if (!box.current) return;
      chart.current?.setOption(chartOption(scene, lookOf(box.current), words.chart));
    };
    draw();
    // A chart is drawn in points: it does not follow the page's colours by itself.
    const themed = new MutationObserver(draw);
    themed.observe(document.documentElement, { attributeFilter: ['data-theme'] });
    return () => themed.disconnect();
  }, [scene, words]);
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

function lookOf(within: Element): ChartLook {
  const style = getComputedStyle(within);
  const colour = (name: string) => style.getPropertyValue(`--${name}`).trim();
  return {
    ink: colour('ink'),
    quiet: colour('quiet'),
    rule: colour('rule'),
    above: colour('above'),
    below: colour('below'),
    font: style.fontFamily,
  };
}
