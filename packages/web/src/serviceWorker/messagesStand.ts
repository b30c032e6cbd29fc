let tellThatTheyStand: () => void = () => undefined;

/** Resolved once messages can be shown: what is told before would be lost. */
export const messagesStand = new Promise<void>((resolve) => {
  tellThatTheyStand = resolve;
});

export function messagesDoStand(): void {
  tellThatTheyStand();
}
