import { auditEachView } from './audits.ts';

auditEachView('day');
