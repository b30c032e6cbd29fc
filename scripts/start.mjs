// Sets up whatever is missing, then serves Nodo until it is told to stop.
const [major = 0, minor = 0] = process.versions.node.split('.').map(Number);
if (major < 20 || (major === 20 && minor < 19)) {
  console.error(
    `Nodo needs Node 20.19 or newer; this is ${process.versions.node}. Install Node 20 and start again.`,
  );
  process.exit(1);
}
const { start } = await import('./lib/serve.mjs');
await start(process.argv.slice(2));
