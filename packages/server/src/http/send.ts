import type { Refusal } from '@nodo/kernel';
import type { Response } from 'express';
import { STATUS } from './refusals.ts';

export function sendRefusal(response: Response, refusal: Refusal): void {
  response.status(STATUS[refusal.code]).json(refusal);
}
