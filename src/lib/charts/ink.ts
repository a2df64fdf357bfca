/** Colours of a chart's lines: ink and a lighter ink, from the theme. */
export function ink(share = 1): string {
  const style = getComputedStyle(document.documentElement);
  const base = style.getPropertyValue('--color-base-content').trim() || '#222222';
  if (share >= 1 || !/^#[0-9a-f]{6}$/i.test(base)) return base;
  return `${base}${Math.round(share * 255)
    .toString(16)
    .padStart(2, '0')}`;
}
