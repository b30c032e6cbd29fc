/** The text fields of a form by name. */
export function readForm(form: HTMLFormElement): Readonly<Record<string, string | undefined>> {
  return Object.fromEntries(
    [...new FormData(form)].map(([name, value]) => [name, typeof value === 'string' ? value : '']),
  );
}
