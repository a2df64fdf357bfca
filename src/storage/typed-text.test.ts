/** What is typed and not added yet, over a store in memory that can refuse. */
import { beforeEach, describe, expect, it } from 'vitest';
import { fitted, typedTexts } from './typed-text';

const EMPTY = {
  name: '',
  length: '',
  earth: false,
  price: null as number | null,
  plate: [{ mark: 'N', does: 'neutral' }],
  marks: [] as string[],
  menu: { style: 'unknown', entries: [] as string[] }
};

function memory(): Storage {
  const held = new Map<string, string>();
  return {
    getItem: (key) => held.get(key) ?? null,
    setItem: (key, value) => void held.set(key, value),
    removeItem: (key) => void held.delete(key),
    key: (at) => [...held.keys()][at] ?? null,
    clear: () => held.clear(),
    get length() {
      return held.size;
    }
  };
}

describe('what is typed in a form', () => {
  let storage: Storage;
  beforeEach(() => {
    storage = memory();
  });

  it('is there for the next page of the browser, until nothing is left of it', () => {
    typedTexts(storage).keep('job-a/th-1/stretch', { name: 'over the hall' });
    expect(typedTexts(storage).read('job-a/th-1/stretch')).toEqual({ name: 'over the hall' });
    expect(typedTexts(storage).read('job-a/th-2/stretch')).toBeNull();
    typedTexts(storage).keep('job-a/th-1/stretch', null);
    expect(typedTexts(storage).read('job-a/th-1/stretch')).toBeNull();
    expect(storage).toHaveLength(0);
  });

  it('goes with its job, and with no other whose name begins alike', () => {
    const texts = typedTexts(storage);
    for (const name of ['job-a/th-1/stop', 'job-a/th-2/stop', 'job-a-2/th-1/stop'])
      texts.keep(name, { how: name });
    texts.forget('job-a');
    expect(texts.read('job-a/th-1/stop')).toBeNull();
    expect(texts.read('job-a/th-2/stop')).toBeNull();
    expect(texts.read('job-a-2/th-1/stop')).toEqual({ how: 'job-a-2/th-1/stop' });
  });

  it('is simply not kept where the browser has no store, or it refuses, or something else wrote there', () => {
    const refusing = {
      ...memory(),
      setItem: () => expect.unreachable(),
      getItem: () => expect.unreachable()
    };
    for (const store of [undefined, refusing as unknown as Storage]) {
      const texts = typedTexts(store);
      texts.keep('job-a/th-1/stop', { how: 'x' });
      expect(texts.read('job-a/th-1/stop')).toBeNull();
      texts.forget('job-a');
    }
    storage.setItem('ulterum-typed/job-a/th-1/stop', '{"how": ');
    expect(typedTexts(storage).read('job-a/th-1/stop')).toBeNull();
  });
});

describe('a form with what was kept of it', () => {
  it('is as it was left, and is not the kept thing itself', () => {
    const left = {
      name: 'over the hall',
      length: '3,5',
      earth: true,
      price: 80,
      plate: [
        { mark: 'L', does: 'live' },
        { mark: '', does: 'joint' }
      ],
      marks: ['R', 'C'],
      menu: { style: 'dial', entries: ['a'] }
    };
    const form = fitted(EMPTY, left);
    expect(form).toEqual(left);
    form.plate[0]!.mark = 'X';
    expect(left.plate[0]!.mark).toBe('L');
  });

  it('is the empty one where nothing was kept, and what is typed into it does not change that', () => {
    for (const nothing of [null, undefined, 'text', 7, []]) {
      const form = fitted(EMPTY, nothing);
      expect(form).toEqual(EMPTY);
      form.plate.push({ mark: 'E', does: 'earth' });
    }
    expect(EMPTY.plate).toHaveLength(1);
  });

  it.each([
    ['a number where text stands', 'name', 3],
    ['nothing where a tick stands', 'earth', undefined],
    ['an object where a number may stand', 'price', {}],
    ['text where a list stands', 'plate', 'N'],
    ['a member of another form', 'plate', [{ mark: 'N' }]],
    ['an endless list', 'marks', Array.from({ length: 300 }, () => 'R')],
    ['an endless text', 'name', 'x'.repeat(5000)],
    ['nothing where more stands', 'menu', null],
    ['a part that lacks something', 'menu', { style: 'dial' }]
  ] as const)('keeps a field empty for %s, and takes the others', (_, field, value) => {
    const form = fitted(EMPTY, { ...EMPTY, length: '7', [field]: value });
    expect(form[field]).toEqual(EMPTY[field]);
    expect(form.length).toBe('7');
  });

  it('takes a field by the check that is given for it', () => {
    const checks = { menu: (kept: unknown) => (kept as { style?: unknown } | undefined)?.style === 'dial' };
    expect(fitted(EMPTY, { menu: { style: 'dial' } }, checks).menu).toEqual({ style: 'dial' });
    expect(fitted(EMPTY, { menu: { style: 'menus', entries: [] } }, checks).menu).toEqual(EMPTY.menu);
  });
});
