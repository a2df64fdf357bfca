/** A long-lived process of an ordinary SPICE program, fed over its input, so that no start-up is in what is measured. */
import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

export function hasSpice(): boolean {
  return spawnSync('ngspice', ['--version'], { stdio: 'ignore' }).status === 0;
}

/** Seconds that so many runs of a command (`op`, `ac lin 1 60 60`) take on a netlist. */
export async function spiceSeconds(netlist: string, command: string, runs: number): Promise<number> {
  const file = join(mkdtempSync(join(tmpdir(), 'ulterum-bench-')), 'house.cir');
  // The analysis is asked for by command, over and over.
  writeFileSync(
    file,
    netlist
      .split('\n')
      .filter((line) => !/^\.(op|ac|print|tran)/.test(line))
      .join('\n')
  );
  const child = spawn('ngspice', ['-p'], { stdio: ['pipe', 'pipe', 'ignore'] });
  let output = '';
  let waiting: { mark: string; done: () => void } | null = null;
  child.stdout.on('data', (chunk: Buffer) => {
    output += chunk.toString();
    if (waiting && output.includes(waiting.mark)) {
      output = '';
      const { done } = waiting;
      waiting = null;
      done();
    }
  });
  const until = (mark: string) => new Promise<void>((done) => (waiting = { mark, done }));
  const batch = `${command}\ndestroy all\n`;
  const warm = until('bench-warm');
  child.stdin.write(`set noaskquit\nsource ${file}\n${batch.repeat(50)}echo bench-warm\n`);
  await warm;
  const finished = until('bench-done');
  const start = performance.now();
  child.stdin.write(`${batch.repeat(runs)}echo bench-done\n`);
  await finished;
  const seconds = (performance.now() - start) / 1000;
  child.stdin.end('quit\n');
  child.kill();
  return seconds;
}
