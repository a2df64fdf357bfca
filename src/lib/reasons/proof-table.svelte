<script lang="ts">
  /** The solved circuit, call by call: what ran, what will run, what the thermostat gets. */
  import type { ProofRow, WorldProof } from '$core/proof/types';
  import { voltsText } from '$core/trade/figures';
  import { LOAD_NAMES } from '$core/trade/loads';
  import { callName } from '$core/trade/calls';
  import type { LoadId } from '$core/trade/vocabulary';

  interface Props {
    proof: WorldProof;
  }

  let { proof }: Props = $props();
  const names = (loads: readonly LoadId[]) =>
    loads.length === 0 ? 'nothing' : loads.map((load) => LOAD_NAMES[load]).join(', ');
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
          class="figures">Transformer</th
        ><th scope="col" class="figures">Thermostat</th></tr
      ></thead
    >
    <tbody>
      {#each proof.rows as row (row.call)}
        <tr>
          <th scope="row">{capital(callName(row.call))}</th>
          <td data-label="Runs today">{names(row.before)}</td>
          <td data-label="Will run"
            >{#if row.lost.length === 0}{names(row.after)}{:else}<span
                ><b>✕ {names(row.after)}</b><br /><span class="quiet">lost: {names(row.lost)}</span></span
              >{/if}</td
          >
          <td
            data-label="Transformer"
            class="figures"
            title="{Math.round(100 * row.loadShare)} % of its rating"
            ><span
              >{row.vaBefore.toFixed(0)} → {row.vaAfter.toFixed(0)} VA{#if row.loadShare > 1}<b>, too much</b
                >{/if}{#if row.fuse?.open}<br /><b>✕ fuse opens</b>{:else if row.fuse}<br /><span
                  class="quiet text-xs">{most(row)} A, fuse {row.fuse.rating} A</span
                >{/if}</span
            ></td
          >
          <td data-label="Thermostat" class="figures"
            ><span
              >{#if row.fedAfter === false}<b>✕ {voltsText(row.voltsAfter)}</b>{:else}{voltsText(
                  row.voltsAfter
                )}{/if}{#if row.voltsLow !== null && row.voltsHigh !== null}<br /><span class="quiet text-xs"
                  >{row.voltsLow.toFixed(1)} to {row.voltsHigh.toFixed(1)} V</span
                >{/if}</span
            ></td
          >
        </tr>
      {/each}
    </tbody>
  </table>
  {#if proof.rows.some((row) => row.ampsMost !== null)}<p class="quiet mt-1 text-xs">
      Small figures: in the worst case (mains 10 % off; transformer, coils, copper and joints at the ends of
      their ranges).
    </p>{/if}
</div>

<style>
  .proof :is(th, td) {
    padding: 0.35rem 0.5rem;
    vertical-align: top;
  }

  .proof th {
    font-weight: 500;
  }

  .figures {
    text-align: right;
    white-space: nowrap;
  }

  /* Five columns do not fit a phone: a block for each call, and nothing to be pushed sideways. */
  @media (width < 30rem) {
    .proof,
    .proof tbody {
      display: block;
    }

    .proof thead {
      position: absolute;
      clip-path: inset(50%);
    }

    .proof tr {
      display: grid;
      grid-template-columns: 1fr;
      padding-block: 0.35rem;
    }

    .proof :is(th, td) {
      padding: 0.1rem 0;
    }

    .proof td {
      display: grid;
      grid-template-columns: 6.5rem 1fr;
      border: none;
      text-align: left;
      white-space: normal;
    }

    .proof td::before {
      content: attr(data-label);
      opacity: 0.75;
    }

    .proof tbody th {
      font-size: 0.9rem;
      font-weight: 600;
    }
  }
</style>
