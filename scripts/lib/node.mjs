/** Stops with one line on a Node that is too old. Plain enough for any Node to read. */
export function assertNode() {
  const [major = 0, minor = 0] = process.versions.node.split('.').map(Number);
  if (major > 20 || (major === 20 && minor >= 19)) return;
  console.error(
    `Nodo needs Node 20.19 or newer; this is ${process.versions.node}. Install Node 20 and start again.`,
  );
  process.exit(1);
}
