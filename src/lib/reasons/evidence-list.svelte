<script lang="ts">
  /** What the evidence says, and how far each piece speaks for the family named. */
  import { CANDIDATES } from '$core/identify/types';
  import { weightText } from '$core/trade/figures';
  import { FAMILY_NAMES } from '$core/trade/vocabulary';
  import { getPlace } from '../state/context';
  import FactList from './fact-list.svelte';
  import { say } from '../words/manner.svelte';

  const place = getPlace();
  const family = $derived(
    CANDIDATES.find((candidate) => candidate === place.identification.family) ??
      place.identification.candidates[0]?.family ??
      'unknown'
  );
  const pieces = $derived([...place.identification.evidence].sort((a, b) => b.bits[family] - a.bits[family]));
</script>

{#if pieces.length === 0}
  <p class="quiet">Nothing is recorded yet that would tell one system from another.</p>
{:else}
  <table class="table table-fixed table-sm break-words">
    <caption class="sr-only">Evidence for {FAMILY_NAMES[family]}</caption>
    <thead
      ><tr
        ><th scope="col">Evidence</th><th scope="col" class="w-28 text-right whitespace-normal"
          >For {FAMILY_NAMES[family]}</th
        ></tr
      ></thead
    >
    <tbody>
      {#each pieces as piece (piece.id)}
        <tr>
          <td class="align-top">
            {say(piece.sentence)}
            <details class="text-sm">
              <summary class="quiet cursor-pointer">Why</summary>
              <FactList refs={piece.because} />
              <p class="quiet">{piece.source}</p>
            </details>
          </td>
          <td class="text-right align-top">{weightText(piece.bits[family])}</td>
        </tr>
      {/each}
    </tbody>
  </table>
{/if}
