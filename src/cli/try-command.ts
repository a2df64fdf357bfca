/** A command as a test runs it: its exit code and what it wrote. */
import { main } from './main';

export interface Tried {
  readonly code: number;
  readonly out: string;
  readonly error: string;
}

export async function tryCommand(...words: string[]): Promise<Tried> {
  let [out, error] = ['', ''];
  const code = await main(words, {
    out: (text) => void (out += `${text}\n`),
    error: (text) => void (error += `${text}\n`)
  });
  return { code, out, error };
}

/** What it gives as plain JSON. Throws where it did not do its job. */
export async function tryJson(...words: string[]) {
  const { code, out, error } = await tryCommand(...words, '--json');
  if (code !== 0) throw new Error(`${words.join(' ')}: exit ${code}, ${error}`);
  return JSON.parse(out);
}
