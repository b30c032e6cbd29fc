import { auditEachView } from './audits.ts';

auditEachView('night');
