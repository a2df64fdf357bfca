/** The command line: the same core as the screens, without them. */
import { faultText } from '$core/job/faults';
import { readArguments, type Arguments } from './arguments';
import { EXIT_CODES, wrongUse, type Outcome } from './outcome';
import { check } from './verbs/check';
import { demo } from './verbs/demo';
import { diagnose } from './verbs/diagnose';
import { identify } from './verbs/identify';
import { match } from './verbs/match';
import { plan } from './verbs/plan';
import { simulate } from './verbs/simulate';
import { faults } from './verbs/faults';
import { handover } from './verbs/handover';
import { settings } from './verbs/settings';
import { spice } from './verbs/spice';
import { tests } from './verbs/tests';
import { tolerance } from './verbs/tolerance';

const VERBS: Readonly<Record<string, (args: Arguments) => Promise<Outcome>>> = {
  check,
  identify,
  match,
  plan,
  simulate,
  spice,
  tolerance,
  faults,
  diagnose,
  settings,
  tests,
  handover,
  demo
};
const HELP = `ulterum VERB FILE [options]

  check FILE       the file's faults, or that it holds
  identify FILE    what heats and cools, per thermostat, with the evidence
  match FILE       every known model against each thermostat's place
  plan FILE        the ways to supply the common, proven and ranked; the moves
                   [--thermostat ID] [--model ID] [--method ID] [--variant ID]
                   --together: all thermostats of the job as one piece of work
  simulate FILE    what runs in each call, at what voltage
                   [--wiring before|after] [--call ID] [--thermostat ID] [--model ID] [--method ID]
  spice FILE       the circuit of one call as a SPICE netlist
                   --call ID [--wiring before|after] [--complex] [--thermostat ID] [--model ID] [--method ID]
  tolerance FILE   volts at the thermostat over drawn houses whose values differ from their sheets
                   [--draws N] [--seed N] and the options of simulate
  faults FILE      what every single fault does in each call, or every pair too
                   [--pairs] and the options of simulate
  diagnose FILE    what is wrong, from what was seen and read, and what to look at next
                   [--seen CODE,CODE...] [--reading A:B@CALL=VOLTS]... [--wiring found|now|after]
                   [--thermostat ID] [--model ID] [--method ID]
  settings FILE    what the thermostat has to be told in this house, each with its reason
  tests FILE       the test plan: what to call, what must run and what must not, volts, what is put off
                   [--outdoor C]
  handover FILE    the record as built, its codes, and with --out the sheets, CSV and SPICE as files
                   [--out DIR] [--paper A4|Letter] [--origin URL: where its codes lead]
                   all three: [--thermostat ID] [--model ID] [--method ID]
  demo             writes the demo jobs as files  [--out DIR]

  --json           plain JSON on standard output

Exit 0: done; 1: the file is bad; 2: wrong use.`;

export interface Streams {
  out(text: string): void;
  error(text: string): void;
}

const terminal: Streams = {
  out: (text) => void process.stdout.write(`${text}\n`),
  error: (text) => void process.stderr.write(`${text}\n`)
};

// Whoever reads has gone (`| head`): there is nothing more to say, and nothing wrong.
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code === 'EPIPE') process.exit(0);
  throw error;
});

/** Runs one command; returns the exit code. */
export async function main(words: readonly string[], streams: Streams = terminal): Promise<number> {
  const args = readArguments(words);
  if ('why' in args) return finish(wrongUse(args.why), false, streams);
  if (args.help || args.verb === 'help') {
    streams.out(HELP);
    return 0;
  }
  return finish(await outcomeOf(args), args.json, streams);
}

async function outcomeOf(args: Arguments): Promise<Outcome> {
  if (args.verb === undefined) return wrongUse('Name a verb.');
  const verb = Object.hasOwn(VERBS, args.verb) ? VERBS[args.verb] : undefined;
  if (!verb) return wrongUse(`No verb "${args.verb}".`);
  if (args.rest.length > 0) return wrongUse(`Too many words: ${args.rest.join(' ')}`);
  return verb(args);
}

function finish(outcome: Outcome, json: boolean, streams: Streams): number {
  if (outcome.kind === 'result') {
    streams.out(json ? JSON.stringify(outcome.json, null, 2) : outcome.page);
  } else if (outcome.kind === 'bad-file') {
    for (const fault of outcome.faults) streams.error(faultText(fault));
    if (json) streams.out(JSON.stringify({ ok: false, faults: outcome.faults }, null, 2));
  } else {
    streams.error(outcome.why);
    streams.error(HELP);
  }
  return EXIT_CODES[outcome.kind];
}
