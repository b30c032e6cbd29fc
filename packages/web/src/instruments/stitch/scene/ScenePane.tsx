import type { StitchScene } from '@nodo/core';
import type { StitchQuestion } from '@nodo/shop';
import { Pause, Play, StepForward } from 'lucide-react';
import { MeetingCloseUp } from '../../../drawing/stitch/MeetingCloseUp.tsx';
import { PHASES, phaseAt, phaseStarts } from '../../../drawing/stitch/phases.ts';
import { StitchViews } from '../../../drawing/stitch/StitchViews.tsx';
import type { PictureSet } from '../../../drawing/stitch/stitchPicture.ts';
import { instruments } from '../../../messages/instruments.ts';
import { Button } from '../../../ui/Button.tsx';
import { accountOf, isTakenAt, phaseWords, swingPlace } from './account.ts';
import { HandWheel } from './HandWheel.tsx';
import { useReducedMotion } from './useReducedMotion.ts';
import type { Wheel } from './useWheel.ts';

/** One stitch to look at: both views, the wheel that turns it, its four phases, and the meeting at each swing. */
export function ScenePane({
  question,
  scene,
  wheel,
  swing: chosen,
  onSwing,
}: {
  readonly question: StitchQuestion;
  readonly scene: StitchScene;
  readonly wheel: Wheel;
  /** Which of the scene's swings is looked at. */
  readonly swing: number;
  readonly onSwing: (swing: number) => void;
}) {
  const swing = scene.swings[chosen] ?? scene.swings[0];
  const isStill = useReducedMotion();
  if (!swing) return null;
  const words = instruments.stitch;
  const set: PictureSet = { question, scene, swing, isTaken: isTakenAt(swing) };
  const steps = scene.turn.shaft.length;
  const starts = phaseStarts(scene, swing);
  const phase = phaseAt(starts, wheel.step);
  const account = accountOf(set, wheel.step);
  const [title, text] = phaseWords(phase, set);
  const next = PHASES[(PHASES.indexOf(phase) + 1) % PHASES.length] ?? 'loop';
  return (
    <div className="flex flex-col gap-3">
      <StitchViews set={set} step={wheel.step} account={account} />
      <div className="flex items-center gap-4 print:hidden">
        <HandWheel step={wheel.step} steps={steps} account={account} onTurn={wheel.turnTo} />
        <div className="flex min-w-0 flex-1 flex-col gap-2">
          <p className="min-h-18 leading-snug" data-phase={phase}>
            <strong>{title}.</strong> {text}
          </p>
          <div className="flex flex-wrap gap-2">
            {isStill ? (
              <Button onClick={() => wheel.turnTo(starts[next])}>
                <StepForward aria-hidden size={18} /> {words.wheel.nextPhase}
              </Button>
            ) : (
              <>
                <Button onClick={() => (wheel.isTurning ? wheel.stop() : wheel.play(false))}>
                  {wheel.isTurning ? (
                    <Pause aria-hidden size={18} />
                  ) : (
                    <Play aria-hidden size={18} />
                  )}
                  {wheel.isTurning ? words.wheel.stop : words.wheel.play}
                </Button>
                <Button onClick={() => wheel.play(true)}>{words.wheel.once}</Button>
              </>
            )}
            <Button onClick={() => wheel.turnTo(swing.passedAt)}>{words.wheel.toMeeting}</Button>
          </div>
        </div>
      </div>
      <fieldset className="min-w-0">
        <legend className="font-semibold">{words.meeting.title}</legend>
        <div className="mt-1 flex gap-2">
          {scene.swings.map((one, index) => (
            <button
              key={one.meeting.swing}
              type="button"
              aria-pressed={index === chosen}
              onClick={() => onSwing(index)}
              className="min-w-0 max-w-56 flex-1 cursor-pointer rounded-md border-2 border-rule p-1 text-left hover:border-edge aria-pressed:border-own"
            >
              <MeetingCloseUp
                question={question}
                swing={one}
                account={words.meeting.account(one.meeting)}
              />
              <span className="block text-sm leading-tight">
                <strong className="block">
                  {words.meeting.swing[swingPlace(one.meeting.swing)]}
                </strong>
                {words.meeting.says(one.meeting)}
              </span>
            </button>
          ))}
        </div>
      </fieldset>
    </div>
  );
}
