/** What holds of all methods together, over the houses that the tests share. */
import { describe, expect, it } from 'vitest';
import { findDevice } from '../../match/catalogue';
import { planFor } from '../../plan/plan';
import type { House } from '../../houses/builder';
import { HOUSES } from '../../houses/houses';
import { METHOD_IDS, type MethodId } from '../../trade/vocabulary';
import { METHODS } from './registry';

const optionsOf = ({ job, thermostat }: House, model: string) =>
  planFor(job, thermostat, { device: findDevice(job, model) ?? null }).options;

describe('the registry', () => {
  it('knows every method of the vocabulary, and every one on offer is open in some house', () => {
    expect(METHODS.every((method) => METHOD_IDS.includes(method.id))).toBe(true);
    const open = new Set<MethodId>();
    for (const make of Object.values(HOUSES)) {
      for (const model of ['de-fellgate', 'de-pair', 'de-weftline', 'de-farspeak']) {
        for (const option of optionsOf(make(), model)) if (option.verdict !== 'no') open.add(option.method);
      }
    }
    expect([...open].sort()).toEqual(METHODS.map((method) => method.id).sort());
  });

  it('never offers, as go or care, a way that starves the thermostat, hurts a machine or opens a fuse', () => {
    const harmful = [
      'thermostat-unfed',
      'compressor-without-blower',
      'strips-without-blower',
      'fuse-opens',
      'supplies-tied',
      'transformer-overloaded'
    ];
    for (const make of Object.values(HOUSES)) {
      for (const model of ['de-fellgate', 'de-onebar', 'de-weftline']) {
        for (const option of optionsOf(make(), model).filter(
          (plannedOption) => plannedOption.verdict === 'go' || plannedOption.verdict === 'care'
        )) {
          expect(
            option.findings.map((finding) => finding.code).filter((code) => harmful.includes(code))
          ).toEqual([]);
        }
      }
    }
  });
});
