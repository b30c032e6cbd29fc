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
      <div className="flex flex-col justify-center bg-paper px-8 py-12 lg:px-16">
        <p className="mb-10 text-3xl font-bold tracking-tight">{m.shell.product}</p>
        <h1 className="mb-1 text-2xl font-bold">{byCode ? words.codeTitle : words.title}</h1>
        <p className="mb-8 text-quiet">{redeemed ? words.redeemed : words.lead}</p>
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

/** A lockstitch being made, in section: needle at its lowest, the loop just standing out. */
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
        <path d="M320 400H372C380 400 384 404 384 414V560" stroke="var(--above)" strokeWidth="9" />
        <path
          d="M384 560C384 600 428 596 428 556S404 500 398 470V-200"
          stroke="var(--above)"
          strokeWidth="9"
          strokeLinecap="round"
        />
        <path d="M320 456C420 456 470 520 600 540" stroke="var(--below)" strokeWidth="9" />
        <path
          d="M376 -200V590L386 640L396 590V-200Z"
          fill="var(--paper)"
          stroke="var(--ink)"
          strokeWidth="4"
          strokeLinejoin="round"
        />
        <ellipse
          cx="386"
          cy="560"
          rx="4"
          ry="14"
          fill="var(--ground)"
          stroke="var(--ink)"
          strokeWidth="3"
        />
        <path
          d="M600 700C520 720 450 690 440 600L452 596C470 660 530 670 600 650"
          fill="var(--sunk)"
          stroke="var(--ink)"
          strokeWidth="4"
          strokeLinejoin="round"
        />
      </svg>
    </div>
  );
}
