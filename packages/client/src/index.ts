export type { Answer, Call, CallError } from './call.ts';
export { type Client, createClient } from './client.ts';
export { enteredOn, type OutboxEntry, outbox } from './outbox.ts';
export type {
  Copies,
  Copy,
  Ports,
  StreamEvents,
  StreamState,
  TabMessage,
  Tabs,
} from './ports.ts';
export type { KeyValueStorage } from './storage.ts';
