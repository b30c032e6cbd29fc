import type { SwingPlace } from '@nodo/ticket';

/** A computed figure without its sign, to so many digits at most. */
export const rounded = (value: number, digits: number) => {
  const text = Math.abs(value).toFixed(digits);
  if (Number(text) === 0) return '0';
  return text.includes('.') ? text.replace(/\.?0+$/, '') : text;
};

/** What the hand wheel is turned, from radians. */
export const turned = (radians: number) => `${rounded((radians * 180) / Math.PI, 1)}°`;

export const SWING_NAMES: Readonly<Record<SwingPlace, string>> = {
  left: 'Left swing',
  middle: 'Middle',
  right: 'Right swing',
};
