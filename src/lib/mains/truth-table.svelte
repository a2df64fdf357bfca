<script lang="ts">
  /** Every state of timer and thermostats, and what runs: today, and after. Rows that are wrong, or change, are marked by words. */
  import type { TruthRow, TruthTable } from '$core/proof/mains/truth-table';
  import { runsText, rowText } from '$core/proof/mains/row-text';
  import { rowId } from '$core/proof/mains/rows';
  import type { Wiring } from '$core/wiring/graph';
  import { capital } from '$core/words/text';

  interface Props {
    found: Wiring;
    before: TruthTable;
    after: TruthTable | null;
  }

  let { found, before, after }: Props = $props();
  let all = $state(false);
  const then = $derived(new Map(after?.rows.map((row) => [rowId(row.state.row), row])));

  interface Line {
    readonly row: TruthRow;
    readonly later: TruthRow | undefined;
    readonly told: boolean;
  }
  const lines = $derived(
    before.rows.map((row): Line => {
      const later = then.get(rowId(row.state.row));
      const differs = later !== undefined && runsText(later.state) !== runsText(row.state);
      const wrong = row.amiss.length > 0 || (later?.amiss.length ?? 0) > 0;
      return { row, later, told: differs || wrong || row.state.boiler };
    })
  );
  /** What runs, what is wrong or changes; the rest is that nothing runs. */
  const shown = $derived(all ? lines : lines.filter(({ told }) => told));
  const quiet = $derived(lines.length - lines.filter(({ told }) => told).length);
</script>

<div class="overflow-x-auto">
  <table class="table table-sm">
    <thead>
      <tr>
        <th>State</th>
        <th>{after ? 'Today' : 'What runs'}</th>
        {#if after}<th>After</th>{/if}
      </tr>
    </thead>
    <tbody>
      {#each shown as { row, later } (rowId(row.state.row))}
        <tr data-row={rowId(row.state.row)}>
          <td>{rowText(row.state.row, found)}</td>
          <td
            >{capital(runsText(row.state))}{#if row.amiss.length > 0}<b class="block">should not be so</b
              >{/if}</td
          >
          {#if after}
            <td
              >{later ? capital(runsText(later.state)) : '–'}{#if later && later.amiss.length > 0}<b
                  class="block">should not be so</b
                >{:else if row.amiss.length > 0}<b class="block">put right</b
                >{:else if later && runsText(later.state) !== runsText(row.state)}<b class="block">changes</b
                >{/if}</td
            >
          {/if}
        </tr>
      {/each}
    </tbody>
  </table>
</div>
{#if quiet > 0}
  <button type="button" class="btn btn-ghost btn-sm" aria-expanded={all} onclick={() => (all = !all)}
    >{all ? 'Only where something runs' : `And ${quiet} more, in which nothing runs`}</button
  >
{/if}
