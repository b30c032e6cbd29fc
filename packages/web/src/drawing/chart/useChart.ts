import { type EChartsCoreOption, type EChartsType, init } from 'echarts/core';
import { type RefObject, useEffect, useRef, useState } from 'react';

/** What a chart is drawn in: the page's own colours and letters. */
export interface ChartLook {
  readonly ink: string;
  readonly quiet: string;
  readonly rule: string;
  readonly cloth: string;
  readonly lit: string;
  readonly above: string;
  readonly below: string;
  readonly font: string;
}

/**
 * A chart within a box: fits its size, follows the page's colours, is gone with it.
 * @param optionOf what is drawn; a new function draws anew
 * @returns the box, and how wide it is in points
 */
export function useChart(optionOf: (look: ChartLook) => EChartsCoreOption): {
  readonly box: RefObject<HTMLDivElement | null>;
  readonly wide: number;
} {
  const box = useRef<HTMLDivElement>(null);
  const chart = useRef<EChartsType>(undefined);
  const [wide, setWide] = useState(0);
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
      // Anew each time: lines that come and go would be taken for one another.
      if (box.current) chart.current?.setOption(optionOf(lookOf(box.current)), true);
    };
    draw();
    // A chart is drawn in points: it does not follow the page's colours by itself.
    const themed = new MutationObserver(draw);
    themed.observe(document.documentElement, { attributeFilter: ['data-theme'] });
    return () => themed.disconnect();
  }, [optionOf]);
  return { box, wide };
}

function lookOf(within: Element): ChartLook {
  const style = getComputedStyle(within);
  const colour = (name: string) => style.getPropertyValue(`--${name}`).trim();
  return {
    ink: colour('ink'),
    quiet: colour('quiet'),
    rule: colour('rule'),
    cloth: colour('cloth'),
    lit: colour('lit'),
    above: colour('above'),
    below: colour('below'),
    font: style.fontFamily,
  };
}
