import { isAtEnd, type TensionAnswer } from '@nodo/core';
import type { CheckId } from '@nodo/knowledge';
import type { KeptTry } from '@nodo/ticket';
import type { ReactNode } from 'react';
import { write } from '../../../messages/index.ts';
import { instruments } from '../../../messages/instruments.ts';
import { Button } from '../../../ui/Button.tsx';
import { TextLink } from '../../../ui/TextLink.tsx';
import { CheckLinks } from '../../frame/CheckLinks.tsx';
import { useInstrumentBench } from '../../frame/InstrumentContext.tsx';
import { instrumentRoot, keepAction, mayDo } from '../../frame/instrumentBench.ts';
import { KeepButton } from '../../frame/KeepButton.tsx';
import { dialWords, lowerThan } from './reading.ts';

/** Where to look when it is no matter of tension. */
const LOOK_AT = {
  'no-answer': ['path-look', 'pull-foot-down', 'dial-sweep', 'disc-cloth'],
  erratic: ['case-spring', 'case-pull', 'bobbin-wind', 'spool-pull'],
  'no-end': ['pull-foot-down', 'dial-sweep', 'case-pull'],
} as const;
const BOBBIN_LOOKS: readonly CheckId[] = ['bobbin-path', 'case-pull', 'case-spring', 'case-gauge'];

/** What to do next, with what it rests on. */
export function AdviceAnswer({
  answer,
  tries,
  mayTurnScrew,
  onRethreaded,
  onBobbinSeen,
  onSet,
}: {
  readonly answer: TensionAnswer;
  readonly tries: readonly KeptTry[];
  readonly mayTurnScrew: boolean;
  readonly onRethreaded: () => void;
  readonly onBobbinSeen: () => void;
  /** Undefined where it was saved already. */
  readonly onSet: (() => void) | undefined;
}) {
  const bench = useInstrumentBench();
  const words = instruments.tension.advice;
  const { advice } = answer;
  const last = tries.at(-1);
  const found = tries[0];
  switch (advice.kind) {
    case 'sew':
      return <Told headline={words.sew} />;
    case 'rethread':
      return (
        <Told headline={words.rethread} why={words.rethreadWhy}>
          <Done
            label={words.rethreaded}
            onDo={() => {
              if (bench.onTicket) keepAction(bench, 'rethreaded');
              else onRethreaded();
            }}
          />
        </Told>
      );
    case 'look-at-bobbin':
      return (
        <Told headline={words.bobbin} why={words.bobbinWhy}>
          <CheckLinks checks={BOBBIN_LOOKS} />
          <Done label={words.bobbinSeen} onDo={onBobbinSeen} />
        </Told>
      );
    case 'dial': {
      const to = dialWords(advice.setting.dial);
      if (last?.dial === advice.setting.dial) return <Told headline={words.again} />;
      return (
        <Told
          headline={words.dial(to)}
          why={words.fromBelow(to, dialWords(lowerThan(advice.setting.dial)))}
          chance={advice.chance}
        >
          {isAtEnd(advice.setting.dial) && <p className="leading-snug">{words.end}</p>}
        </Told>
      );
    }
    case 'screw':
      return (
        <Told
          headline={words.screw(advice.turn)}
          why={words.screwDial(dialWords(advice.setting.dial))}
          chance={advice.chance}
        >
          <p>
            <TextLink to={`${instrumentRoot(bench, 'bobbin')}/tension`}>{words.toScrew}</TextLink>
          </p>
        </Told>
      );
    case 'balanced':
      return (
        <Told headline={words.balanced(dialWords(last?.dial ?? 0))} chance={advice.chance} sure>
          {onSet && <KeepButton label={words.keepSet} onKeep={onSet} />}
        </Told>
      );
    case 'bobbin-side':
      return (
        <Told
          headline={words.bobbinSide}
          why={mayTurnScrew ? words.bobbinSideMay : words.bobbinSideMayNot}
        >
          <CheckLinks checks={BOBBIN_LOOKS} />
        </Told>
      );
    case 'stop':
      return (
        <Told headline={words.stop} why={words.stopped[advice.cause]}>
          <h3 className="font-semibold">{words.lookAt}</h3>
          <CheckLinks checks={LOOK_AT[advice.cause]} />
          {found && last && found.dial !== last.dial && <p>{words.back(dialWords(found.dial))}</p>}
        </Told>
      );
  }
}

function Done({ label, onDo }: { readonly label: string; readonly onDo: () => void }) {
  const bench = useInstrumentBench();
  if (bench.onTicket && !mayDo(bench)) return null;
  return (
    <Button look="main" className="self-start" onClick={onDo}>
      {label}
    </Button>
  );
}

function Told({
  headline,
  why,
  chance,
  sure = false,
  children,
}: {
  readonly headline: string;
  readonly why?: string;
  readonly chance?: number;
  /** It balances now, not only then. */
  readonly sure?: boolean;
  readonly children?: ReactNode;
}) {
  const words = instruments.tension.advice;
  return (
    <section aria-label={words.title} className="flex flex-col gap-2" data-advice>
      <h2 className="text-xl leading-tight font-bold">{headline}</h2>
      {chance !== undefined && (
        <p className="text-quiet">{(sure ? words.sure : words.chance)(write.percent(chance))}</p>
      )}
      {why && <p className="leading-snug">{why}</p>}
      {children}
    </section>
  );
}
