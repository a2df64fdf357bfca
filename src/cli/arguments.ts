/** Reads the command's words. Unknown options are wrong use, never ignored. */
import { parseArgs } from 'node:util';

export interface Arguments {
  readonly verb: string | undefined;
  readonly file: string | undefined;
  readonly rest: readonly string[];
  readonly json: boolean;
  readonly help: boolean;
  readonly thermostat: string | undefined;
  readonly model: string | undefined;
  readonly method: string | undefined;
  readonly variant: string | undefined;
  readonly wiring: string | undefined;
  readonly call: string | undefined;
  readonly out: string | undefined;
  readonly complex: boolean;
  readonly pairs: boolean;
  readonly together: boolean;
  readonly draws: string | undefined;
  readonly seed: string | undefined;
  /** Codes of what was seen, in their order. */
  readonly seen: readonly string[];
  readonly readings: readonly string[];
  /** °C, as it was typed. */
  readonly outdoor: string | undefined;
  readonly paper: string | undefined;
  /** Where the application is served that codes lead to. */
  readonly origin: string | undefined;
}

export function readArguments(words: readonly string[]): Arguments | { readonly why: string } {
  try {
    const { values, positionals } = parseArgs({
      args: [...words],
      allowPositionals: true,
      options: {
        json: { type: 'boolean', default: false },
        help: { type: 'boolean', short: 'h', default: false },
        thermostat: { type: 'string' },
        model: { type: 'string' },
        method: { type: 'string' },
        variant: { type: 'string' },
        wiring: { type: 'string' },
        call: { type: 'string' },
        out: { type: 'string' },
        complex: { type: 'boolean', default: false },
        pairs: { type: 'boolean', default: false },
        together: { type: 'boolean', default: false },
        draws: { type: 'string' },
        seed: { type: 'string' },
        seen: { type: 'string', multiple: true, default: [] },
        reading: { type: 'string', multiple: true, default: [] },
        outdoor: { type: 'string' },
        paper: { type: 'string' },
        origin: { type: 'string' }
      }
    });
    const [verb, file, ...rest] = positionals;
    return {
      verb,
      file,
      rest,
      json: values.json,
      help: values.help,
      thermostat: values.thermostat,
      model: values.model,
      method: values.method,
      variant: values.variant,
      wiring: values.wiring,
      call: values.call,
      out: values.out,
      complex: values.complex,
      pairs: values.pairs,
      together: values.together,
      draws: values.draws,
      seed: values.seed,
      seen: values.seen.flatMap((codes) => codes.split(',')).filter(Boolean),
      readings: values.reading,
      outdoor: values.outdoor,
      paper: values.paper,
      origin: values.origin
    };
  } catch (error) {
    return { why: error instanceof Error ? error.message : String(error) };
  }
}
