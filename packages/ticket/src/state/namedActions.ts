import type { ActionId } from '@nodo/knowledge';

/** Actions of the tables that the program itself asks for or reacts to in more than one place. */
export const POWER_OFF = 'power-off-confirmed' satisfies ActionId;
export const POWER_ON = 'power-on' satisfies ActionId;
export const PIECES_FOUND = 'fragments-accounted' satisfies ActionId;
export const HAND_TURNED = 'hand-turned' satisfies ActionId;
export const NEEDLE_REPLACED = 'needle-replaced' satisfies ActionId;
