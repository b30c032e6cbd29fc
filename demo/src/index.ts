export { DEMO_CUSTOMER, demoTicketId, loadDemo } from './load.ts';
export { DEMO_PEOPLE, DEMO_SHOP } from './people.ts';
