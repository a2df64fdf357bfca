<script lang="ts">
  /**
   * The strand sheet: one strand per conductor, the wall at the left, the equipment at the right, the sheath round each cable's strands.
   * It only draws; `cell` lets an editor put its own controls where the marks and colours stand.
   */
  import { untrack, type Snippet } from 'svelte';
  import type { EndSide } from '$core/trade/vocabulary';
  import ColourChip from './colour-chip.svelte';
  import EndMark from './end-mark.svelte';
  import LinkBrackets from './link-brackets.svelte';
  import { steadyView, type CellKind, type RowView, type SheetView } from './rows';
  import type { StrandReading } from '$core/session/strand-readings';
  import Strand from './strand.svelte';
  import { Growing } from '../frame/growing.svelte';

  interface Props {
    view: SheetView;
    label: string;
    /** Shows one half only: the place where one stands. */
    only?: EndSide | null;
    cell?: Snippet<[{ row: RowView; index: number; kind: CellKind }, Snippet]>;
    /** So many rows are there at once, where somebody was sent to one of them. */
    atLeast?: number;
    wallHead?: string;
    equipmentHead?: string;
    /** What each strand carries, by its id, where the sheet is powered up. */
    live?: ReadonlyMap<string, StrandReading> | null;
  }

  let {
    view: drawn,
    label,
    only = null,
    cell,
    live = null,
    atLeast = 0,
    wallHead = 'At the wall',
    equipmentHead = 'At the equipment'
  }: Props = $props();

  let last: SheetView | null = null;
  const view = $derived.by(() => (last = steadyView(drawn, last)));
  const rows = $derived(view.groups.flatMap((group) => group.rows));
  const starts = $derived(
    view.groups.map((_, index) =>
      view.groups.slice(0, index).reduce((sum, group) => sum + group.rows.length, 0)
    )
  );
  const growing = new Growing(
    () => rows.length,
    untrack(() => atLeast)
  );
  const ROW = 52;
  const GAP = 14;
  const middles = $derived(
    view.groups.flatMap((group, index) =>
      group.rows.map((_, row) => ((starts[index] ?? 0) + row) * ROW + index * GAP + ROW / 2)
    )
  );
  const editable = $derived(cell !== undefined);
  const shows = (side: EndSide) => only === null || only === side;
</script>

{#snippet wallMark(row: RowView)}<EndMark end={row.wall} />{/snippet}
{#snippet equipmentMark(row: RowView)}<EndMark end={row.equipment} />{/snippet}

<div class="sheet" data-only={only ?? 'both'}>
  <div class="heads" aria-hidden="true">
    <span>{shows('wall') ? wallHead : ''}</span>
    <span>{shows('equipment') ? equipmentHead : ''}</span>
  </div>
  <div class="body" role={editable ? 'grid' : 'table'} aria-label={label} aria-rowcount={rows.length}>
    {#if shows('wall')}<div class="brackets" role="presentation">
        <LinkBrackets links={view.links} side="wall" {middles} />
      </div>{/if}
    <div class="groups" role="presentation">
      {#each view.groups as group, groupIndex (group.cable)}
        <div class="group" role="rowgroup" aria-label={group.name}>
          {#each group.rows.slice(0, Math.max(0, growing.shown - (starts[groupIndex] ?? 0))) as row, rowIndex (row.id)}
            {@const index = (starts[groupIndex] ?? 0) + rowIndex}
            <div class="row" role="row" aria-rowindex={index + 1} data-conductor={row.id}>
              {#if shows('wall')}
                <div class="cell wall" role={editable ? 'gridcell' : 'cell'}>
                  {#snippet content()}{@render wallMark(row)}{/snippet}
                  {#if cell}{@render cell({ row, index, kind: 'wall' }, content)}{:else}<span class="sr-only"
                      >{row.name}, wall:
                    </span>{@render content()}{/if}
                </div>
              {/if}
              <div class="cell run" role={editable ? 'gridcell' : 'cell'}>
                {#snippet strand()}<Strand {row} {only} reading={live?.get(row.id) ?? null} />{/snippet}
                {#if cell}{@render cell({ row, index, kind: 'strand' }, strand)}{:else}{@render strand()}{/if}
              </div>
              <div class="cell colour" role={editable ? 'gridcell' : 'cell'}>
                {#snippet colour()}<ColourChip
                    code={only === 'equipment' ? row.colourBeyond : row.colour}
                    stripe={row.stripe}
                  />{/snippet}
                {#if cell}{@render cell({ row, index, kind: 'colour' }, colour)}{:else}{@render colour()}{/if}
              </div>
              {#if only === null}
                <div
                  class="cell colour far"
                  class:same={row.colourBeyond === row.colour}
                  role={editable ? 'gridcell' : 'cell'}
                >
                  <ColourChip code={row.colourBeyond} stripe={row.spliced === 'no' ? row.stripe : null} />
                </div>
              {/if}
              {#if shows('equipment')}
                <div class="cell equipment" role={editable ? 'gridcell' : 'cell'}>
                  {#snippet far()}{@render equipmentMark(row)}{/snippet}
                  {#if cell}{@render cell({ row, index, kind: 'equipment' }, far)}{:else}<span class="sr-only"
                      >equipment:
                    </span>{@render far()}{/if}
                </div>
              {/if}
            </div>
          {/each}
          {#if group.rows.length > 0}
            <div class="sheath" class:bare={live !== null} aria-hidden="true">
              {#if live === null}<span><b>{group.name}</b><br />{group.facts}</span>{/if}
            </div>
          {/if}
        </div>
      {/each}
    </div>
    {#if shows('equipment')}<div class="brackets" role="presentation">
        <LinkBrackets links={view.links} side="equipment" {middles} />
      </div>{/if}
  </div>
  {#if view.links.length > 0}
    <ul class="links">
      {#each view.links as link (link.id)}<li>{link.text}{link.moved ? ' (new)' : ''}</li>{/each}
    </ul>
  {/if}
</div>

<style>
  .sheet {
    --mark: 4rem;
    --columns: var(--mark) minmax(6rem, 1fr) var(--mark);
    width: 100%;
  }

  .sheet[data-only='wall'] {
    --columns: var(--mark) minmax(5rem, 1fr);
  }

  .sheet[data-only='equipment'] {
    --columns: minmax(5rem, 1fr) var(--mark);
  }

  .heads {
    display: flex;
    justify-content: space-between;
    font-weight: 650;
    padding: 0 2.3rem 0.4rem;
  }

  .body {
    display: flex;
    align-items: flex-start;
  }

  .brackets {
    flex: none;
    width: 34px;
  }

  .groups {
    flex: 1;
    min-width: 0;
    display: flex;
    flex-direction: column;
    gap: 14px;
  }

  .group {
    position: relative;
  }

  .row {
    display: grid;
    grid-template-columns: var(--columns);
    align-items: center;
    height: 52px;
    /* An edit of one of two hundred rows lays out no other, and none that nobody sees. */
    contain: layout style;
    content-visibility: auto;
    contain-intrinsic-height: 52px;
  }

  .cell {
    display: flex;
    align-items: center;
    justify-content: center;
    height: 100%;
    min-width: 0;
    grid-row: 1;
  }

  /* Marks sit against their strand. */
  .cell.wall,
  .cell.wall :global(.grid-cell) {
    justify-content: flex-end;
  }

  .cell.equipment,
  .cell.equipment :global(.grid-cell) {
    justify-content: flex-start;
  }

  .cell.run,
  .cell.colour {
    grid-column: 2;
  }

  .sheet[data-only='equipment'] :is(.cell.run, .cell.colour) {
    grid-column: 1;
  }

  /* The code rides on its strand like a printed sleeve. */
  .cell.colour {
    position: relative;
    z-index: 1;
    justify-self: start;
    margin-left: 1.4rem;
  }

  .cell.colour.far,
  .sheet[data-only='equipment'] .cell.colour {
    justify-self: end;
    margin-left: 0;
    margin-right: 1.4rem;
  }

  .cell.run {
    position: relative;
  }

  .sheath {
    position: absolute;
    inset-block: 3px;
    left: calc(var(--mark) + (100% - 2 * var(--mark)) * 0.34);
    width: calc((100% - 2 * var(--mark)) * 0.32);
    background: var(--color-base-200);
    border: 1.5px solid color-mix(in oklab, var(--color-base-content) 45%, transparent);
    border-radius: 0.6rem;
    display: flex;
    align-items: center;
    justify-content: center;
    text-align: center;
    font-size: 0.875rem;
    line-height: 1.35;
    padding: 0 0.4rem;
    pointer-events: none;
    overflow: hidden;
  }

  .sheet[data-only='wall'] .sheath {
    left: auto;
    right: 0;
    width: calc((100% - var(--mark)) * 0.42);
    border-right: none;
    border-radius: 0.6rem 0 0 0.6rem;
  }

  .sheet[data-only='equipment'] .sheath {
    left: 0;
    width: calc((100% - var(--mark)) * 0.42);
    border-left: none;
    border-radius: 0 0.6rem 0.6rem 0;
  }

  /* Powered up, the sheath lets its strands be seen. */
  .sheath.bare {
    background: none;
    border-style: dashed;
  }

  .links {
    margin-top: 0.6rem;
    padding-left: 2.3rem;
    font-size: 0.9375rem;
  }

  @media (max-width: 700px) {
    .sheet[data-only='both'] {
      --mark: 3.8rem;
    }

    .sheet[data-only='both'] .sheath {
      display: none;
    }

    .sheet[data-only='both'] .cell.colour {
      margin-inline: 0.9rem;
    }

    .heads {
      padding-inline: 0.5rem;
    }

    .brackets {
      width: 26px;
      margin-left: -8px;
    }

    .sheet[data-only='both'] .brackets:last-child {
      margin-left: 0;
      margin-right: -8px;
    }
  }

  /* There is room for one sleeve: the other says the same, or moves close to its mark. */
  @media (max-width: 360px) {
    .sheet[data-only='both'] .cell.colour {
      margin-inline: 0;
    }

    .sheet[data-only='both'] .cell.colour.same {
      display: none;
    }
  }
</style>
