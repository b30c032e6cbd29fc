import type { PaperWords } from './en.ts';

export const fr: PaperWords = {
  tag: 'étiquette',
  shelf: 'étagère',
  withIt: 'Avec',
  came: 'Déposée',
  promised: 'Promise',
  questions: 'Questions',
  takenIn: 'Déposée pour réparation',
  told: 'Ce que vous nous avez dit',
  cameWithIt: 'Déposé avec',
  fromOutside: 'Aspect extérieur',
  agreed: 'Convenu',
  readyBy: 'Prête le',
  please: 'Merci',
  collectWithin: (days) =>
    `Merci de la reprendre dans les ${days} jours après notre appel, avec ce papier.`,
  signed: 'Signé à l’écran',
  askFirst: 'Rien n’est dépensé sans votre accord.',
  upTo: (amount) => `Jusqu’à ${amount} sans vous redemander.`,
  reminder: 'Merci de reprendre votre machine',
  stands: (isRepaired, since) => {
    const day = since === undefined ? '' : ` depuis le ${since}`;
    return isRepaired
      ? `Votre machine est prête${day}.`
      : `Votre machine n’est pas réparée et se trouve ici${day}.`;
  },
  informed: (day) => `Nous vous avons prévenu le ${day}.`,
  collectOrCall: 'Merci de la reprendre ou de nous appeler.',
  toPay: 'À payer',
  whatWasDone: 'Ce qui a été fait',
  bill: (number) => `Facture ${number}`,
  credit: (number, of) => `Avoir ${number} sur la facture ${of}`,
  from: 'De',
  taxNumber: 'Numéro fiscal',
  why: 'Motif',
  machine: 'Machine',
  workDoneOn: 'Fait le',
  notDone: 'Non fait',
  found: 'Constaté',
  done: 'Fait',
  nextTime: 'À l’avenir',
  pleaseNote: 'À noter',
  unrepaired: {
    refused: 'Rendue non réparée, selon votre souhait.',
    'not-worth-it': 'Rendue non réparée : la réparation coûterait plus qu’elle ne vaut.',
    'no-part': 'Rendue non réparée : la pièce nécessaire est introuvable.',
  },
  doNotUse: 'Ne l’utilisez pas en l’état.',
  work: (minutes) => `Travail, ${minutes} minutes`,
  inspection: 'Examen',
  lowestFee: 'Complément jusqu’au prix minimal',
  takenOff: (reason) => `Remise : ${reason}`,
  givenBack: 'Remboursé',
  tax: (isIncluded, perCent, net) =>
    `${isIncluded ? 'Taxe comprise' : 'Taxe'} ${perCent} % sur ${net}`,
  paid: {
    'not-yet': 'Pas encore payé.',
    cash: 'Payé en espèces, merci.',
    card: 'Payé par carte, merci.',
    transfer: 'Payé par virement, merci.',
  },
  receipt: 'Reçu',
  together: 'Total',
};
