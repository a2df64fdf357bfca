<script lang="ts">
  /** The solved circuit, call by call: what ran, what will run, what the thermostat gets. */
  import type { ProofRow, WorldProof } from '$core/supply/prove';
  import { voltsText } from '$core/trade/figures';
  import { LOAD_NAMES } from '$core/trade/loads';
  import { CALL_NAMES, type LoadId } from '$core/trade/vocabulary';

  interface Props {
    proof: WorldProof;
  }

  let { proof }: Props = $props();
  const names = (loads: readonly LoadId[]) =>
    loads.length === 0 ? 'nothing' : loads.map((one) => LOAD_NAMES[one]).join(', ');
  const most = ({ fuse, ampsMost }: ProofRow) =>
    ampsMost === null ? (fuse?.amps ?? 0).toFixed(1) : `up to ${ampsMost.toFixed(1)}`;
  const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
</script>

<div class="overflow-x-auto" tabindex="-1">
  <table class="table table-sm proof">
    <thead
      ><tr
        ><th scope="col">Call</th><th scope="col">Runs today</th><th scope="col">Will run</th><th
          scope="col"
          class="text-right">Transformer</th
        ><th scope="col" class="text-right">Thermostat</th></tr
      ></thead
    >
    <tbody>
      {#each proof.rows as row (row.call)}
        <tr>
          <th scope="row">{capital(CALL_NAMES[row.call])}</th>
          <td>{names(row.before)}</td>
          <td
            >{#if row.lost.length === 0}{names(row.after)}{:else}<b>✕ {names(row.after)}</b><br /><span
                class="quiet">lost: {names(row.lost)}</span
              >{/if}</td
          >
          <td class="text-right whitespace-nowrap" title="{Math.round(100 * row.loadShare)} % of its rating"
            >{row.vaBefore.toFixed(0)} → {row.vaAfter.toFixed(0)} VA{#if row.loadShare > 1}<b>, too much</b
              >{/if}{#if row.fuse?.open}<br /><b>✕ fuse opens</b>{:else if row.fuse}<br /><span
                class="quiet text-xs">{most(row)} A, fuse {row.fuse.rating} A</span
              >{/if}</td
          >
          <td class="text-right whitespace-nowrap"
            >{#if row.fedAfter === false}<b>✕ {voltsText(row.voltsAfter)}</b>{:else}{voltsText(
                row.voltsAfter
              )}{/if}{#if row.voltsLow !== null && row.voltsHigh !== null}<br /><span
                class="quiet text-xs"
                title="at the worst of all tolerances"
                >{row.voltsLow.toFixed(1)} to {row.voltsHigh.toFixed(1)} V</span
              >{/if}</td
          >
        </tr>
      {/each}
    </tbody>
  </table>
</div>

<style>
  .proof :is(th, td) {
    padding: 0.35rem 0.5rem;
    vertical-align: top;
  }

  .proof th {
    font-weight: 500;
  }
</style>
