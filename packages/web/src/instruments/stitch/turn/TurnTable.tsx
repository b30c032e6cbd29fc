import type { StitchScene } from '@nodo/core';
import { write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';

/** Degrees between two lines. */
const EVERY = 15;

/** The chart's figures, for whoever does not see it. */
export function TurnTable({ scene: { turn } }: { readonly scene: StitchScene }) {
  const words = instruments.stitch.turn;
  const steps = turn.shaft.length;
  const lines = Array.from({ length: 360 / EVERY }, (_, line) => (line * EVERY * steps) / 360);
  const say = (list: Float64Array, step: number) => write.tenths(list[step] ?? 0);
  return (
    <details>
      <summary className="min-h-11 cursor-pointer py-2 font-semibold">{words.table}</summary>
      <table className="w-full text-right tabular-nums">
        <thead className="text-sm text-quiet">
          <tr>
            {words.columns.map((name) => (
              <th key={name} scope="col" className="px-2 font-normal">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {lines.map((step) => (
            <tr key={step} className="border-t border-rule">
              <th scope="row" className="px-2 font-normal">
                {Math.round((step * 360) / steps)}°
              </th>
              <td className="px-2">{say(turn.lift, step)}</td>
              <td className="px-2">{say(turn.takeUp.y, step)}</td>
              <td className="px-2">{Math.round(((turn.hook[step] ?? 0) * 180) / Math.PI)}°</td>
              <td className="px-2">{say(turn.wanted, step)}</td>
              <td className="px-2">{say(turn.given, step)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
