/** On a phone a row of choices may be wider than the screen: the current one is brought into sight. */
export function bringCurrentIntoSight(row: HTMLElement | undefined): void {
  row?.querySelector('[aria-current]')?.scrollIntoView({ inline: 'center', block: 'nearest' });
}
