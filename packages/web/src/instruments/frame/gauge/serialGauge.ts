import type { GaugePort } from './gaugePort.ts';

const BAUD = 9600;

/** What of a serial port is used here; browsers that have none lack `navigator.serial`. */
interface SerialPort {
  readonly readable: ReadableStream<Uint8Array> | null;
  open(options: { readonly baudRate: number }): Promise<void>;
}

function serialOf(): { requestPort(): Promise<SerialPort> } | undefined {
  return (navigator as { readonly serial?: { requestPort(): Promise<SerialPort> } }).serial;
}

/** Whether this browser can speak to a gauge on a wire. */
export function hasSerial(): boolean {
  return serialOf() !== undefined;
}

/**
 * A gauge on a serial line (9600 baud): one reading a line, a number in gf with a decimal point, anything
 * after it left out. Asks the person which port.
 * @throws whatever the browser says when none is chosen or it does not open.
 */
export async function serialGauge(): Promise<GaugePort> {
  const serial = serialOf();
  if (!serial) throw new Error('no serial port here');
  const port = await serial.requestPort();
  await port.open({ baudRate: BAUD });
  return {
    standIn: false,
    start(onSample, onLost) {
      const reader = port.readable?.pipeThrough(new TextDecoderStream() as never).getReader() as
        | ReadableStreamDefaultReader<string>
        | undefined;
      const begun = performance.now();
      const state = { stopped: false };
      const read = async (): Promise<void> => {
        let line = '';
        while (reader) {
          const { value, done } = await reader.read();
          if (done) return;
          const lines = (line + value).split(/\r?\n/);
          line = lines.pop() ?? '';
          for (const text of lines) {
            const force = Number.parseFloat(text);
            if (Number.isFinite(force)) onSample({ at: performance.now() - begun, force });
          }
        }
      };
      void read()
        .catch(() => undefined)
        .finally(() => {
          if (!state.stopped) onLost();
        });
      return () => {
        state.stopped = true;
        void reader?.cancel().catch(() => undefined);
      };
    },
  };
}
