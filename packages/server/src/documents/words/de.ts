import type { PaperWords } from './en.ts';

export const de: PaperWords = {
  tag: 'Anhänger',
  shelf: 'Regal',
  withIt: 'Dabei',
  came: 'Gebracht',
  promised: 'Zugesagt',
  questions: 'Fragen',
  takenIn: 'Zur Reparatur angenommen',
  told: 'Was Sie uns sagten',
  cameWithIt: 'Mitgebracht',
  fromOutside: 'Von außen',
  agreed: 'Vereinbart',
  readyBy: 'Fertig bis',
  please: 'Bitte',
  collectWithin: (days) =>
    `Bitte holen Sie sie innerhalb von ${days} Tagen nach unserem Anruf ab. Bringen Sie diesen Zettel mit.`,
  signed: 'Am Bildschirm unterschrieben',
  askFirst: 'Nichts wird ausgegeben, ohne Sie zu fragen.',
  upTo: (amount) => `Bis ${amount}, ohne Sie noch einmal zu fragen.`,
  reminder: 'Bitte holen Sie Ihre Maschine ab',
  stands: (isRepaired, since) => {
    const day = since === undefined ? '' : ` seit ${since}`;
    return isRepaired
      ? `Ihre Maschine ist${day} fertig.`
      : `Ihre Maschine ist nicht repariert und steht${day} bei uns.`;
  },
  informed: (day) => `Wir haben Ihnen am ${day} Bescheid gegeben.`,
  collectOrCall: 'Bitte holen Sie sie ab oder rufen Sie uns an.',
  toPay: 'Zu zahlen',
  whatWasDone: 'Was gemacht wurde',
  bill: (number) => `Rechnung ${number}`,
  credit: (number, of) => `Gutschrift ${number} zur Rechnung ${of}`,
  from: 'Von',
  taxNumber: 'Steuernummer',
  why: 'Grund',
  machine: 'Maschine',
  workDoneOn: 'Ausgeführt am',
  notDone: 'Nicht gemacht',
  found: 'Gefunden',
  done: 'Gemacht',
  nextTime: 'Künftig',
  pleaseNote: 'Bitte beachten',
  unrepaired: {
    refused: 'Auf Ihren Wunsch unrepariert zurückgegeben.',
    'not-worth-it': 'Unrepariert zurückgegeben: Eine Reparatur kostet mehr, als sie wert ist.',
    'no-part': 'Unrepariert zurückgegeben: Das nötige Teil ist nicht mehr zu bekommen.',
  },
  doNotUse: 'Benutzen Sie sie so nicht.',
  work: (minutes) => `Arbeit, ${minutes} Minuten`,
  inspection: 'Durchsicht',
  lowestFee: 'Aufschlag bis zum Mindestpreis',
  takenOff: (reason) => `Nachlass: ${reason}`,
  givenBack: 'Zurückgegeben',
  tax: (isIncluded, perCent, net) =>
    `${isIncluded ? 'Enthaltene Steuer' : 'Steuer'} ${perCent} % auf ${net}`,
  paid: {
    'not-yet': 'Noch nicht bezahlt.',
    cash: 'Bar bezahlt, vielen Dank.',
    card: 'Mit Karte bezahlt, vielen Dank.',
    transfer: 'Überwiesen, vielen Dank.',
  },
  receipt: 'Quittung',
  together: 'Zusammen',
};
