<script lang="ts">
  /** The strand sheet with its cells live: arrows, letters and touch. */
  import { onMount, untrack, type Snippet } from 'svelte';
  import { setColourBeyond, setConductorField, setEndByWord } from '$core/job/edits';
  import type { ConductorId } from '$core/job/ids';
  import { conductorName } from '$core/job/names';
  import { placesFor } from '$core/job/places';
  import type { WhereId } from '$core/job/schema';
  import { refName } from '$core/job/screws';
  import type { ColourCode } from '$core/trade/colours';
  import type { EndSide } from '$core/trade/vocabulary';
  import { getPlace } from '../state/context';
  import ColourChip from './colour-chip.svelte';
  import OnDemand from '../frame/on-demand.svelte';
  import EndMark from './end-mark.svelte';
  import { isTyped, readColour, readEnd, walk, type Column, type Spot } from './grid-keys';
  import { endText, sheetView, type RowView } from './rows';
  import StrandSheet from './strand-sheet.svelte';
  import { Typing } from './typing.svelte';
  import { say } from '../words/manner.svelte';

  interface Props {
    only?: EndSide | null;
    /** The end that one comes to put right: it has the focus when the sheet opens. */
    first?: { readonly strand: string; readonly end: EndSide } | null;
  }

  let { only = null, first = null }: Props = $props();
  const place = getPlace();
  const view = $derived(sheetView(place.wiring));
  const rows = $derived(view.groups.flatMap((group) => group.rows));
  const columns = $derived<Column[]>(
    only === 'wall'
      ? ['wall', 'colour', 'strand']
      : only === 'equipment'
        ? ['colour', 'strand', 'equipment']
        : ['wall', 'colour', 'strand', 'equipment']
  );

  /** The row of `first` as the sheet opens; -1 where there is none. */
  const wanted = untrack(() => (first === null ? -1 : rows.findIndex((row) => row.id === first.strand)));

  let spot = $state<Spot>({ row: 0, column: 'wall' });
  const typing = new Typing();
  let picking = $state<Spot | null>(null);
  let said = $state('');
  let holder: HTMLElement | undefined = $state();

  const here = $derived<Spot>({
    row: Math.min(spot.row, Math.max(0, rows.length - 1)),
    column: columns.includes(spot.column) ? spot.column : (columns[0] ?? 'colour')
  });
  const conductorOf = (row: RowView | undefined) =>
    place.thermostat.conductors.find((conductor) => conductor.id === row?.id);
  const pickedRow = $derived(picking ? rows[picking.row] : undefined);
  const picked = $derived(conductorOf(pickedRow));
  const pickedEnd = $derived(picking?.column === 'equipment' ? ('far' as const) : ('near' as const));
  const pickedScrew = $derived(picked?.[pickedEnd].on[0]);

  function cellAt({ row, column }: Spot): HTMLElement | null {
    return holder?.querySelector<HTMLElement>(`[data-spot="${row}-${column}"]`) ?? null;
  }

  /** The one of all cells that the tab key reaches. */
  let reached: HTMLElement | null = null;

  /** Set where it stands, as one moves: to ask every cell whether it is the one would take longer than the move. */
  function reach(at: Spot): HTMLElement | null {
    const cell = cellAt(at);
    if (cell !== reached) {
      if (reached) reached.tabIndex = -1;
      if (cell) cell.tabIndex = 0;
      reached = cell;
    }
    return cell;
  }

  function focus(next: Spot): void {
    spot = next;
    reach(next)?.focus();
  }

  // Rows come and go.
  $effect(() => {
    void rows;
    reach(here);
  });

  onMount(() => {
    if (first !== null && wanted >= 0) focus({ row: wanted, column: first.end });
  });

  /** What tells a wire from the others when it is asked for: its colour, else where its other end is. */
  function whichWire(row: RowView | undefined, asked: Column): string {
    const conductor = conductorOf(row);
    if (!conductor || !row) return '';
    if (conductor.colour !== null || conductor.label !== '') return `${conductorName(conductor)} wire`;
    const [side, end] =
      asked === 'equipment' || (asked === 'colour' && row.wall.state === 'landed')
        ? (['wall', row.wall] as const)
        : (['equipment', row.equipment] as const);
    if (end.state !== 'landed') return `wire ${rows.indexOf(row) + 1}`;
    return `wire that is on ${end.mark} at the ${side}`;
  }

  /** Nobody has read it yet. */
  function isOpen({ row, column }: Spot): boolean {
    const view = rows[row];
    if (!view) return false;
    if (column === 'colour') return (only === 'equipment' ? view.colourBeyond : view.colour) === null;
    return column !== 'strand' && view[column].state === 'unseen';
  }

  /** Touched in a row: after a cell that nobody had read comes the next such one; after one that is put right, nothing. */
  function goOn(filled: Spot, wasOpen: boolean): void {
    const next = rows.findIndex((_, row) => row > filled.row && isOpen({ ...filled, row }));
    if (!wasOpen || next < 0) return close();
    picking = { ...filled, row: next };
    said = `${said}. Next: the ${whichWire(rows[next], filled.column)}`;
  }

  function setEnd(at: Spot, word: string, where: WhereId | null = null): void {
    const conductor = conductorOf(rows[at.row]);
    if (!conductor) return;
    const end = at.column === 'equipment' ? 'far' : 'near';
    if (placesFor(place.job, place.thermostat, end).length === 0) {
      said = 'No machine is recorded yet that it could end at. Add one under Before you buy.';
      return;
    }
    place.session.edit(setEndByWord(place.job, place.thermostat.id, conductor.id, end, word, where));
    said = place.session.said;
  }

  function pickColour(code: ColourCode | null): void {
    if (!picking) return;
    const [at, open] = [picking, isOpen(picking)];
    setColour(at, code);
    goOn(at, open && code !== null);
  }

  function pickEnd(word: string, where: WhereId): void {
    if (!picking) return;
    const [at, open] = [picking, isOpen(picking)];
    setEnd(at, word, where);
    goOn(at, open && word !== 'unseen');
  }

  function setColour(at: Spot, code: ReturnType<typeof readColour>): void {
    const conductor = conductorOf(rows[at.row]);
    if (!conductor) return;
    const step =
      only === 'equipment'
        ? setColourBeyond(place.job, place.thermostat.id, conductor.id, code)
        : setConductorField(place.job, place.thermostat.id, conductor.id, 'colour', code);
    place.session.edit(step);
    said = place.session.said;
  }

  /** Ends typing: what was typed becomes the cell's value, or is refused with a word. */
  function commit(): void {
    const typed = typing.text;
    if (typed === null) return;
    typing.put(here, null);
    if (here.column === 'colour') {
      said = say(`“${typed}” is no colour code`);
      return;
    }
    const read = readEnd(typed);
    if (read.ok) setEnd(here, read.word);
    else said = read.why;
  }

  function key(event: KeyboardEvent): void {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const next = walk(here, event.key, rows.length, columns);
    if (next) {
      event.preventDefault();
      commit();
      focus(next);
    } else if (event.key === 'Escape' && typing.text !== null) {
      event.stopPropagation();
      typing.put(here, null);
    } else if (event.key === 'Backspace' && typing.text !== null) {
      typing.put(here, typing.text.slice(0, -1) || null);
    } else if ((event.key === 'Delete' || event.key === 'Backspace') && here.column !== 'strand') {
      event.preventDefault();
      if (here.column === 'colour') setColour(here, null);
      else setEnd(here, 'unseen');
    } else if (event.key === 'Enter' && typing.text !== null) {
      event.preventDefault();
      commit();
      focus({ ...here, row: Math.min(rows.length - 1, here.row + 1) });
    } else if (isTyped(event.key) && here.column !== 'strand') {
      event.preventDefault();
      type(event.key);
    }
  }

  function type(letter: string): void {
    const text = `${typing.text ?? ''}${letter.toUpperCase()}`.slice(0, 15);
    typing.put(here, text);
    if (here.column !== 'colour' || text.length < 2) return;
    const code = readColour(text);
    if (code) setColour(here, code);
    else said = say(`“${text}” is no colour code`);
    typing.put(here, null);
  }

  function open(at: Spot): void {
    typing.put(here, null);
    spot = at;
    picking = at;
  }

  function close(): void {
    const at = picking;
    picking = null;
    if (at) focus(at);
  }

  function nameOf(row: RowView, kind: Column, number: number): string {
    if (kind === 'colour') return `Wire ${number}, ${say('colour')}: ${row.name}`;
    if (kind === 'strand') return `Wire ${number}, ${row.name}: label, joints, continuity`;
    const where = kind === 'wall' ? 'at the wall' : 'at the equipment';
    return `Wire ${number}, ${row.name}, ${where}: ${endText(row[kind])}`;
  }
</script>

<div bind:this={holder} class="editor">
  <StrandSheet {view} {only} atLeast={wanted + 1} label="Wires, wall to equipment">
    {#snippet cell({ row, index, kind }: { row: RowView; index: number; kind: Column }, content: Snippet)}
      {@const typed = typing.in({ row: index, column: kind })}
      <button
        type="button"
        class="grid-cell"
        class:wide={kind === 'strand'}
        tabindex="-1"
        data-spot="{index}-{kind}"
        aria-label={nameOf(row, kind, index + 1)}
        onclick={() => open({ row: index, column: kind })}
        onfocus={() => {
          if (here.row !== index || here.column !== kind) commit();
          spot = { row: index, column: kind };
          reach(spot);
        }}
        onblur={commit}
        onkeydown={key}
      >
        {#if typed !== null && kind !== 'strand'}
          {#if kind === 'colour'}<span class="typing">{typed}_</span>{:else}<EndMark
              end={row[kind]}
              typing={typed}
            />{/if}
        {:else if kind === 'strand'}
          {@render content()}
        {:else if kind === 'colour'}
          <ColourChip code={only === 'equipment' ? row.colourBeyond : row.colour} stripe={row.stripe} />
        {:else}
          {@render content()}
        {/if}
      </button>
    {/snippet}
  </StrandSheet>
  <p class="sr-only" role="status">{said}</p>
</div>

<OnDemand
  open={picking !== null && (picking.column === 'wall' || picking.column === 'equipment')}
  load={() => import('./end-dialog.svelte')}
  given={{
    open: true,
    side: (picking?.column === 'equipment' ? 'equipment' : 'wall') as EndSide,
    name: picking ? whichWire(pickedRow, picking.column) : '',
    current: pickedScrew ? refName(place.job, pickedScrew) : (picked?.[pickedEnd].state ?? ''),
    places: placesFor(place.job, place.thermostat, pickedEnd, picked ?? null),
    onpick: pickEnd,
    onclose: close
  }}
/>
<OnDemand
  open={picking?.column === 'colour'}
  load={() => import('./colour-dialog.svelte')}
  given={{
    open: true,
    title: say(
      `At the ${only === 'equipment' ? 'equipment' : 'wall'}: which colour is the ${whichWire(pickedRow, 'colour')}?`
    ),
    current: (only === 'equipment' ? pickedRow?.colourBeyond : pickedRow?.colour) ?? null,
    none: 'not known',
    onpick: pickColour,
    onclose: close
  }}
/>
<OnDemand
  open={picking?.column === 'strand' && pickedRow !== undefined}
  load={() => import('./conductor-dialog.svelte')}
  given={{ id: (pickedRow?.id ?? null) as ConductorId | null, onclose: close }}
/>

<style>
  .grid-cell {
    display: flex;
    align-items: center;
    justify-content: center;
    width: 100%;
    height: 48px;
    border-radius: 0.375rem;
    cursor: pointer;
  }

  .grid-cell.wide {
    height: 100%;
  }

  .grid-cell:hover {
    background: color-mix(in oklab, var(--color-base-content) 8%, transparent);
  }

  .grid-cell:focus-visible {
    outline-offset: -2px;
    z-index: 3;
  }

  .typing {
    font-weight: 700;
  }
</style>
