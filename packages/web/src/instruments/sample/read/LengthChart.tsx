import type { SampleSide } from '@nodo/core';
import { BarChart } from 'echarts/charts';
import { GridComponent } from 'echarts/components';
import { use } from 'echarts/core';
import { CanvasRenderer } from 'echarts/renderers';
import { useCallback } from 'react';
import { type ChartLook, useChart } from '../../../drawing/chart/useChart.ts';
import { instruments } from '../../../messages/instruments.ts';
import type { FaceRead } from '../../../workers/sample.worker.ts';
import { lengthOption } from './lengthOption.ts';

use([BarChart, GridComponent, CanvasRenderer]);

/** How long each stitch of a side is. */
export default function LengthChart({
  side,
  read: { stitches },
}: {
  readonly side: SampleSide;
  readonly read: FaceRead;
}) {
  const words = instruments.sample.stitchList;
  const optionOf = useCallback(
    (look: ChartLook) =>
      lengthOption(
        stitches.map(({ length, skipped }) => ({ length, skips: skipped.length > 0 })),
        side,
        look,
        words.axis,
      ),
    [stitches, side, words],
  );
  const { box } = useChart(optionOf);
  return (
    <div className="h-44" role="img" aria-label={words.chart(side)} data-length-chart={side}>
      <div ref={box} className="h-full" />
    </div>
  );
}
