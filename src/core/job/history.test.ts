import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { newJob } from './create';
import {
  changeSince,
  lastDone,
  MOST_STEPS,
  movedBy,
  nextAgain,
  NO_HISTORY,
  withStep,
  type History
} from './history';
import { makeId } from './ids';
import { setStep } from './steps';

const job = newJob(makeId('job', 'oak'), 'Oak');
const step = (name: string) => setStep(job, ['name'], name, name);
const labels = (history: History) => history.steps.map((step) => step.label);

describe('the history of a job', () => {
  it('goes back and forth, and forgets what could be done again once something new is done', () => {
    let history = withStep(withStep(NO_HISTORY, step('a')), step('b'));
    expect(lastDone(history)?.label).toBe('b');
    history = movedBy(history, -1);
    expect([lastDone(history)?.label, nextAgain(history)?.label]).toEqual(['a', 'b']);
    history = withStep(history, step('c'));
    expect(labels(history)).toEqual(['a', 'c']);
    expect(nextAgain(history)).toBeUndefined();
    expect(lastDone(NO_HISTORY)).toBeUndefined();
  });

  it('keeps the latest only', () => {
    let history = NO_HISTORY;
    for (let at = 0; at < MOST_STEPS + 3; at += 1) history = withStep(history, step(`${at}`));
    expect(history.steps).toHaveLength(MOST_STEPS);
    expect([labels(history)[0], lastDone(history)?.label]).toEqual(['3', `${MOST_STEPS + 2}`]);
  });

  it('tells a store what to write, so that any sequence ends with what it should hold', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom('do', 'back', 'again', 'save'), { maxLength: 60 }), (acts) => {
        const held = new Map<number, unknown>();
        let known = NO_HISTORY;
        let history = NO_HISTORY;
        let written = 0;
        const save = () => {
          const { write, remove } = changeSince(known, history);
          written += write.length;
          for (const { number, step: entry } of write) held.set(number, entry);
          for (const number of remove) held.delete(number);
          known = history;
        };
        acts.forEach((act, at) => {
          if (act === 'do') history = withStep(history, step(`${at}`));
          if (act === 'back' && lastDone(history)) history = movedBy(history, -1);
          if (act === 'again' && nextAgain(history)) history = movedBy(history, 1);
          if (act === 'save') save();
        });
        save();
        expect([...held].sort(([a], [b]) => a - b)).toEqual(
          history.steps.map((step, index) => [history.first + index, step])
        );
        expect(written).toBeLessThanOrEqual(acts.filter((act) => act === 'do').length);
      })
    );
  });
});
