import { describe, expect, it } from 'vitest';
import { NO_HISTORY } from '$core/job/history';
import { newJob } from '$core/job/create';
import { makeId } from '$core/job/ids';
import { storeAcceptance } from './acceptance';
import { memoryStore } from './memory';

storeAcceptance('the memory store', () => memoryStore());

describe('a full store', () => {
  it('says so, and keeps what it held', async () => {
    const store = memoryStore(6_000);
    const small = { job: newJob(makeId('job', 'small'), 'small'), saved: '', history: NO_HISTORY };
    await store.save(small, 0, NO_HISTORY);
    const large = { ...small, job: { ...small.job, id: makeId('job', 'large'), note: 'x'.repeat(4_000) } };
    expect(await store.save(large, 0, NO_HISTORY)).toMatchObject({ ok: false, reason: 'full' });
    expect(await store.load('job-small')).toMatchObject({ ok: true });
  });
});
