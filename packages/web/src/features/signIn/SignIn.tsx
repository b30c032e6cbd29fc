import { useState } from 'react';
import { m } from '../../messages/index.ts';
import { Button } from '../../ui/Button.tsx';
import { CodeForm } from './CodeForm.tsx';
import { SignInForm } from './SignInForm.tsx';

/** Who is at the bench; before this nothing of the shop is shown. */
export function SignIn() {
  const [byCode, setByCode] = useState(false);
  const [redeemed, setRedeemed] = useState(false);
  const words = m.shell.signIn;
  return (
    <main className="grid min-h-dvh grid-cols-1 lg:grid-cols-[1.1fr_1fr]">
      <LoopPicture />
      <div className="flex flex-col justify-center bg-paper gutter py-10 lg:px-10">
        <p className="mb-10 text-3xl font-bold tracking-tight">{m.shell.product}</p>
        <h1 className="mb-1 text-2xl font-bold">{byCode ? words.codeTitle : words.title}</h1>
        <p className="mb-6 text-quiet">{redeemed ? words.redeemed : words.lead}</p>
        {byCode ? (
          <CodeForm
            onDone={() => {
              setRedeemed(true);
              setByCode(false);
            }}
          />
        ) : (
          <SignInForm />
        )}
        <Button look="quiet" className="mt-2 self-start" onClick={() => setByCode(!byCode)}>
          {byCode ? words.havePassword : words.haveCode}
        </Button>
      </div>
    </main>
  );
}

/** A lockstitch being made, in section: the needle has just risen, the loop stands out and the hook takes it. */
function LoopPicture() {
  return (
    <div
      className="relative hidden overflow-hidden border-r-2 border-rule lg:block"
      aria-hidden="true"
    >
      <svg
        viewBox="0 0 600 800"
        preserveAspectRatio="xMidYMid slice"
        aria-hidden="true"
        className="absolute inset-0 h-full w-full"
        fill="none"
      >
        <rect x="0" y="400" width="600" height="56" fill="var(--cloth)" />
        <path d="M0 428H600" stroke="var(--rule)" strokeWidth="2" />
        {[40, 150, 260].map((x) => (
          <g key={x} strokeWidth="9" strokeLinecap="round">
            <path
              d={`M${x - 50} 400H${x - 10}C${x} 400 ${x - 6} 428 ${x} 428S${x} 400 ${x + 10} 400H${x + 60}`}
              stroke="var(--above)"
            />
            <path
              d={`M${x - 50} 456H${x - 10}C${x} 456 ${x - 6} 428 ${x} 428S${x} 456 ${x + 10} 456H${x + 60}`}
              stroke="var(--below)"
            />
          </g>
        ))}
        {/* Bobbin thread, from the last knot down to the bobbin. */}
        <path d="M320 456C336 560 300 640 240 780" stroke="var(--below)" strokeWidth="9" />
        {/* The hook: its point stands in the loop, a little above the eye. */}
        <path
          d="M364 528C330 530 286 556 250 620C210 690 120 722 -20 730V800H120C230 790 290 740 316 670C334 620 344 560 364 528Z"
          fill="var(--sunk)"
          stroke="var(--ink)"
          strokeWidth="4"
          strokeLinejoin="round"
        />
        {/* From the last stitch down beside the needle: the loop stands out at its scarf. */}
        <path
          d="M320 400H356C366 400 368 406 368 416V458C366 486 318 490 318 524S356 566 380 562"
          stroke="var(--above)"
          strokeWidth="9"
          strokeLinecap="round"
        />
        {/* The needle: scarf towards the loop, long groove on the other side. */}
        <path
          d="M376 -200V492Q384 500 384 520Q384 542 376 550V592L386 640L396 592V-200Z"
          fill="var(--paper)"
          stroke="var(--ink)"
          strokeWidth="4"
          strokeLinejoin="round"
        />
        {/* The supply: down the groove, through the eye. */}
        <path
          d="M400 -200V540Q400 562 386 562"
          stroke="var(--above)"
          strokeWidth="9"
          strokeLinecap="round"
        />
        <ellipse
          cx="386"
          cy="564"
          rx="4"
          ry="13"
          fill="var(--above)"
          stroke="var(--ink)"
          strokeWidth="3"
        />
      </svg>
    </div>
  );
}
