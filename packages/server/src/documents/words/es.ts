import type { PaperWords } from './en.ts';

export const es: PaperWords = {
  tag: 'etiqueta',
  shelf: 'estante',
  withIt: 'Con ella',
  came: 'Entrada',
  promised: 'Prometida',
  questions: 'Preguntas',
  takenIn: 'Recibida para reparar',
  told: 'Lo que nos contó',
  cameWithIt: 'Trajo con ella',
  fromOutside: 'Por fuera',
  agreed: 'Acordado',
  readyBy: 'Lista el',
  please: 'Por favor',
  collectWithin: (days) =>
    `Recójala en los ${days} días siguientes a nuestra llamada. Traiga este papel.`,
  signed: 'Firmado en la pantalla',
  askFirst: 'No se gasta nada sin preguntarle.',
  upTo: (amount) => `Hasta ${amount} sin volver a preguntarle.`,
  reminder: 'Recoja su máquina, por favor',
  stands: (isRepaired, since) => {
    const day = since === undefined ? '' : ` desde el ${since}`;
    return isRepaired
      ? `Su máquina está lista${day}.`
      : `Su máquina no está reparada y está aquí${day}.`;
  },
  informed: (day) => `Le avisamos el ${day}.`,
  collectOrCall: 'Recójala o llámenos, por favor.',
  toPay: 'A pagar',
  whatWasDone: 'Lo que se hizo',
  bill: (number) => `Factura ${number}`,
  credit: (number, of) => `Abono ${number} de la factura ${of}`,
  from: 'De',
  taxNumber: 'Número fiscal',
  why: 'Motivo',
  machine: 'Máquina',
  workDoneOn: 'Hecho el',
  notDone: 'No se hizo',
  found: 'Se encontró',
  done: 'Se hizo',
  nextTime: 'En adelante',
  pleaseNote: 'Atención',
  unrepaired: {
    refused: 'Devuelta sin reparar, como usted quiso.',
    'not-worth-it': 'Devuelta sin reparar: la reparación costaría más de lo que vale.',
    'no-part': 'Devuelta sin reparar: la pieza que necesita ya no se encuentra.',
  },
  doNotUse: 'No la use así.',
  work: (minutes) => `Trabajo, ${minutes} minutos`,
  inspection: 'Revisión',
  lowestFee: 'Hasta el importe mínimo',
  takenOff: (reason) => `Descuento: ${reason}`,
  givenBack: 'Devuelto',
  tax: (isIncluded, perCent, net) =>
    `${isIncluded ? 'Impuesto incluido' : 'Impuesto'} ${perCent} % de ${net}`,
  paid: {
    'not-yet': 'Pendiente de pago.',
    cash: 'Pagado en efectivo, gracias.',
    card: 'Pagado con tarjeta, gracias.',
    transfer: 'Pagado por transferencia, gracias.',
  },
  receipt: 'Recibo',
  together: 'Total',
};
