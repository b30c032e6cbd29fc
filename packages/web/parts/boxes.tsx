import { toDay } from '@nodo/kernel';
import { useState } from 'react';
import { Choices, Toggles } from '../src/instruments/frame/bits.tsx';
import { AnswerButton } from '../src/ticket/check/AnswerButton.tsx';
import { Button, type ButtonProps } from '../src/ui/Button.tsx';
import { ChanceLine } from '../src/ui/ChanceLine.tsx';
import { CheckBox, CheckBoxes } from '../src/ui/CheckBox.tsx';
import { CopyField } from '../src/ui/CopyField.tsx';
import { DayField } from '../src/ui/DayField.tsx';
import { Fact, Facts } from '../src/ui/Facts.tsx';
import { Field, NumberField, TextArea, TextField } from '../src/ui/Field.tsx';
import { Form } from '../src/ui/Form.tsx';
import { Modal } from '../src/ui/Modal.tsx';
import { PaperLink } from '../src/ui/PaperLink.tsx';
import { PhoneLink } from '../src/ui/PhoneLink.tsx';
import { PictureChooser } from '../src/ui/PictureChooser.tsx';
import { RadioBoxes } from '../src/ui/RadioBoxes.tsx';
import { ReasonForm } from '../src/ui/ReasonForm.tsx';
import { SaveBar } from '../src/ui/SaveBar.tsx';
import { SecretField } from '../src/ui/SecretField.tsx';
import { Select } from '../src/ui/Select.tsx';
import { SelectBox } from '../src/ui/SelectBox.tsx';
import { Tag } from '../src/ui/Tag.tsx';
import { TextLink } from '../src/ui/TextLink.tsx';
import type { PartStates } from './partStates.ts';

const LONG =
  'The needle is bent to the left, its point is burred, and the thread guide above it is open';
const LOOKS: readonly NonNullable<ButtonProps['look']>[] = ['main', 'plain', 'quiet', 'hazard'];

const nothing = () => undefined;

function Chosen({ first }: { readonly first: string | undefined }) {
  const [value, setValue] = useState(first);
  const options = [
    ['fine', 'Runs free'],
    ['rough', 'Drags in one place'],
    ['long', LONG],
  ] as const;
  const legend = `How does it turn? (${first ?? 'nobody looked'})`;
  return <Choices legend={legend} value={value} options={options} onChoose={setValue} />;
}

function Toggled({ first }: { readonly first: ReadonlySet<string> | undefined }) {
  const [values, setValues] = useState(first);
  const options = [
    ['nick', 'Nick'],
    ['lint', 'Lint'],
  ] as const;
  return (
    <Toggles
      legend="What is there?"
      values={values}
      options={options}
      none="Nothing of it"
      onChange={setValues}
    />
  );
}

function Ticked({ first }: { readonly first: readonly string[] }) {
  const [ticked, setTicked] = useState(first);
  const options = [
    ['foot', 'Zigzag foot'],
    ['lead', 'Foot control and lead'],
  ] as const;
  return <CheckBoxes options={options} ticked={ticked} onTick={setTicked} />;
}

function OneOf({ first }: { readonly first: 'cash' | undefined }) {
  const [value, setValue] = useState<'cash' | 'card' | undefined>(first);
  const options = [
    ['cash', 'In cash'],
    ['card', LONG],
  ] as const;
  return <RadioBoxes legend="Paid" options={options} value={value} onChoose={setValue} />;
}

function Sheet({ children }: { readonly children: string }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button onClick={() => setOpen(true)}>Open the sheet</Button>
      <Modal open={open} onOpenChange={setOpen} title="A sheet over the page" closeLabel="Close">
        <p className="overflow-auto">{children}</p>
      </Modal>
    </>
  );
}

/** What somebody presses or fills in. */
export const BOXES: PartStates = {
  Button: [
    ...LOOKS.map((look) => ({ state: look, shown: <Button look={look}>Do it</Button> })),
    ...LOOKS.map((look) => ({
      state: `${look}, not now`,
      shown: (
        <Button look={look} disabled>
          Do it
        </Button>
      ),
    })),
    { state: 'long words', shown: <Button className="max-w-72">{LONG}</Button> },
  ],
  AnswerButton: [
    {
      state: 'an answer',
      shown: <AnswerButton digit={1} text="A loop is missing" onPress={nothing} />,
    },
    {
      state: 'the sound one',
      shown: <AnswerButton digit={2} text="All is well" sound onPress={nothing} />,
    },
    {
      state: 'ticked',
      shown: <AnswerButton digit={3} text="Lint" pressed onPress={nothing} />,
    },
    {
      state: 'not ticked',
      shown: <AnswerButton digit={4} text="Nick" pressed={false} onPress={nothing} />,
    },
    {
      state: 'one of many, long words',
      shown: <AnswerButton digit={12} text={LONG} onPress={nothing} />,
    },
  ],
  Field: [
    {
      state: 'round a box of one’s own',
      shown: <Field label="Shelf" hint="A letter." box={(ties) => <input {...ties} />} />,
    },
  ],
  Choices: [
    { state: 'nothing said', shown: <Chosen first={undefined} /> },
    { state: 'one said', shown: <Chosen first="rough" /> },
  ],
  Toggles: [
    { state: 'nobody looked', shown: <Toggled first={undefined} /> },
    { state: 'one is there', shown: <Toggled first={new Set(['lint'])} /> },
    { state: 'nothing is there', shown: <Toggled first={new Set()} /> },
  ],
  CheckBox: [
    {
      state: 'is so',
      shown: (
        <CheckBox checked onCheck={nothing}>
          It came back
        </CheckBox>
      ),
    },
    {
      state: 'is not, long words',
      shown: (
        <CheckBox checked={false} onCheck={nothing} className="max-w-72">
          {LONG}
        </CheckBox>
      ),
    },
  ],
  CheckBoxes: [{ state: 'one of two', shown: <Ticked first={['lead']} /> }],
  PhoneLink: [{ state: 'a number', shown: <PhoneLink number="000 0117" /> }],
  RadioBoxes: [
    { state: 'nothing chosen', shown: <OneOf first={undefined} /> },
    { state: 'one of two', shown: <OneOf first="cash" /> },
  ],
  Tag: [
    { state: 'on a machine', shown: <Tag tag={27} /> },
    { state: 'in a list', shown: <Tag small tag={27} /> },
    { state: 'after a strike', shown: <Tag struck tag={14} /> },
  ],
  PaperLink: [{ state: 'a paper', shown: <PaperLink href="/">Print bill</PaperLink> }],
  PictureChooser: [
    { state: 'a picture', shown: <PictureChooser label="Picture from above" onFile={nothing} /> },
  ],
  CopyField: [
    {
      state: 'a text to paste',
      shown: <CopyField label="Message" hint="Paste it into a message." text="It is ready." />,
    },
  ],
  TextLink: [{ state: 'a link', shown: <TextLink to="/">To the Rack</TextLink> }],
  Form: [
    {
      state: 'a line and its button',
      shown: (
        <Form className="flex items-end gap-3" onSubmit={nothing}>
          <TextField label="Shelf" />
          <Button type="submit">Put it there</Button>
        </Form>
      ),
    },
  ],
  SecretField: [
    { state: 'hidden', shown: <SecretField label="New password" hint="12 characters at least." /> },
    {
      state: 'wrong',
      shown: <SecretField label="Password" error="That is not the password." />,
    },
  ],
  TextField: [
    { state: 'empty', shown: <TextField label="Name" /> },
    { state: 'with a hint', shown: <TextField label="Tag" hint="As it hangs on it." /> },
    {
      state: 'refused',
      shown: <TextField label="Page" defaultValue="x" error="Where is it written?" />,
    },
    {
      state: 'in another script',
      shown: <TextField label="Label" defaultValue="آلة خياطة قديمة" />,
    },
    { state: 'not now', shown: <TextField label="Shelf" disabled value="A" /> },
  ],
  TextArea: [
    { state: 'filled', shown: <TextArea label="Notes" rows={3} defaultValue={LONG} /> },
    {
      state: 'refused',
      shown: <TextArea label="Notes" rows={3} error="Write a word or two." />,
    },
  ],
  Fact: [
    {
      state: 'known',
      shown: (
        <dl>
          <Fact name="Shelf">A</Fact>
        </dl>
      ),
    },
  ],
  ChanceLine: [0, 0.2, 1].map((chance) => ({
    state: `${chance}`,
    shown: <ChanceLine name="Needle bent" chance={chance} />,
  })),
  Facts: [
    {
      state: 'some known, one not',
      shown: (
        <Facts>
          <Fact name="Telephone">000 0100</Fact>
          <Fact name="Notes">{LONG}</Fact>
          <Fact name="Serial">{''}</Fact>
        </Facts>
      ),
    },
  ],
  SaveBar: [true, false].map((isDirty) => ({
    state: isDirty ? 'something to be saved' : 'all saved',
    shown: (
      <SaveBar isDirty={isDirty}>
        <Button look="main">Save</Button>
      </SaveBar>
    ),
  })),
  Select: [
    {
      state: 'one of a few',
      shown: (
        <Select
          label="Shelf"
          value="a"
          onChoose={nothing}
          options={[
            ['a', 'A'],
            ['b', LONG],
          ]}
        />
      ),
    },
  ],
  SelectBox: [
    {
      state: 'one of a few, its label elsewhere',
      shown: (
        <SelectBox
          aria-label="Shelf"
          value={null}
          onChoose={nothing}
          options={[
            [null, 'all shelves'],
            ['a', 'A'],
          ]}
        />
      ),
    },
  ],
  NumberField: [
    { state: 'empty', shown: <NumberField label="Gap, mm" value="" onText={nothing} /> },
    { state: 'filled', shown: <NumberField label="Pull, g" value="25,5" onText={nothing} /> },
  ],
  DayField: [
    {
      state: 'none',
      shown: <DayField label="Ready on" value={undefined} onChange={nothing} />,
    },
    {
      state: 'a day',
      shown: <DayField label="Ready on" value={toDay('2026-03-02')} onChange={nothing} />,
    },
  ],
  ReasonForm: [
    {
      state: 'not written yet',
      shown: <ReasonForm label="Why?" submit="Waive it" onSubmit={nothing} />,
    },
  ],
  Modal: [
    { state: 'short', shown: <Sheet>{LONG}</Sheet> },
    { state: 'longer than the page', shown: <Sheet>{`${LONG}. `.repeat(60)}</Sheet> },
  ],
};
