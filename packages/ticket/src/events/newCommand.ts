import type { CommandPayload, EventType, TicketCommand } from './index.ts';

/** A command of one kind. */
export function newCommand<Type extends EventType>(
  type: Type,
  command: CommandPayload<Type>,
  rest: Omit<TicketCommand, 'type' | 'command'>,
): TicketCommand {
  return { ...rest, type, command } as TicketCommand;
}
