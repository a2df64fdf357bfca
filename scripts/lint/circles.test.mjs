import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { circles } from './circles.mjs';

describe('circles of imports', () => {
  it('are none in what is here', () => {
    expect(circles('src').map((files) => files.map((file) => file.replace(/.*\/src\//, '')))).toEqual([]);
  });

  it('are found by way of several files, and where only types are imported', () => {
    const folder = join(mkdtempSync(join(tmpdir(), 'circles-')), 'src');
    mkdirSync(join(folder, 'core'), { recursive: true });
    writeFileSync(join(folder, 'core/a.ts'), "import { b } from './b';\nexport const a = b;\n");
    writeFileSync(
      join(folder, 'core/b.ts'),
      "import {\n  c,\n  type C\n} from '$core/c';\nexport const b = c;\n"
    );
    writeFileSync(
      join(folder, 'core/c.ts'),
      "import type { a } from './a';\nexport type C = typeof a;\nexport const c = 1;\n"
    );
    const [circle, ...others] = circles(folder);
    expect(others).toEqual([]);
    expect(circle?.map((file) => file.slice(-4))).toEqual(['a.ts', 'b.ts', 'c.ts', 'a.ts']);
  });
});
