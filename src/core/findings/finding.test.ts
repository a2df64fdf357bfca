import { describe, expect, it } from 'vitest';
import {
  factKey,
  finding,
  hasStop,
  hasWarning,
  sortFindings,
  subjectKey,
  type FindingLevel
} from './finding';
import { callsIn, ref, refId } from './refs';

const local = (level: FindingLevel, conductor = 'white') =>
  finding(level, 'continuity-broken', { conductor }, [ref.conductor(`co-${conductor}`)]);

describe('findings', () => {
  it('come stops first, then cautions, then notes, each as they came, and each fact once', () => {
    const all = [
      local('note', 'a'),
      local('warn', 'b'),
      local('stop', 'c'),
      local('warn', 'd'),
      local('warn', 'b')
    ];
    const sorted = sortFindings(all);
    expect(sorted.map((finding) => finding.because.map(refId)[0])).toEqual(['co-c', 'co-b', 'co-d', 'co-a']);
    expect(all).toHaveLength(5);
  });

  it('close a way by one stop, and make it conditional by one caution', () => {
    expect(hasStop([local('warn'), local('note')])).toBe(false);
    expect(hasStop([local('warn'), local('stop')])).toBe(true);
    expect(hasWarning([local('stop'), local('note')])).toBe(false);
    expect(hasWarning([local('warn')])).toBe(true);
  });

  it('name the place in the file only where there is one', () => {
    expect(local('note')).not.toHaveProperty('path');
    expect(finding('stop', 'local-code', {}, [], 'thermostats[0]').path).toBe('thermostats[0]');
  });

  it('are one fact by what they say, and one subject by what they are about, whatever the call', () => {
    const lost = (call: 'heat1' | 'cool1') => finding('stop', 'relay-chatter', { call }, [ref.call(call)]);
    expect(factKey(lost('heat1'))).not.toBe(factKey(lost('cool1')));
    expect(subjectKey(lost('heat1'))).toBe(subjectKey(lost('cool1')));
    expect(factKey({ ...lost('heat1'), worlds: ['a boiler'] })).not.toBe(factKey(lost('heat1')));
    expect(subjectKey(local('stop', 'a'))).not.toBe(subjectKey(local('stop', 'b')));
  });
});

describe('references', () => {
  it('have one word each, and none is another’s', () => {
    const all = [
      ref.conductor('co-1'),
      ref.machine('eq-1'),
      ref.screw('eq-1', 'sc-w'),
      ref.call('heat1'),
      ref.observation('flue'),
      ref.stop('gas-smell'),
      ref.survey('habits'),
      ref.outlet
    ];
    expect(new Set(all.map(refId)).size).toBe(all.length);
    expect(refId(ref.call('cool1'))).toBe('call:cool1');
  });

  it('tell the calls among them', () => {
    expect(callsIn([ref.conductor('co-1'), ref.call('heat1'), ref.call('fan')])).toEqual(['heat1', 'fan']);
  });
});
