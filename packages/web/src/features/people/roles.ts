import type { Role } from '@nodo/contract';

export const ROLES: readonly Role[] = ['counter', 'technician', 'lead', 'learner'];
