<script lang="ts">
  /** How it stands: system, thermostat, supply, each with its reasons; what stops, what is open. */
  import { percentText } from '$core/trade/figures';
  import { deviceName } from '$core/match/catalogue';
  import { FAMILY_NAMES } from '$core/trade/vocabulary';
  import { lookShort, lookText } from '$core/plan/look-words';
  import { counted } from '$core/words/text';
  import EvidenceList from '../reasons/evidence-list.svelte';
  import FindingList from '../reasons/finding-list.svelte';
  import ProofTable from '../reasons/proof-table.svelte';
  import VerdictMark from '../reasons/verdict-mark.svelte';
  import Why from '../reasons/why.svelte';
  import FitMark from '../device/fit-mark.svelte';
  import { getPlace } from '../state/context';
  import Dialog from './dialog.svelte';
  import { say } from '../words/manner.svelte';

  interface Props {
    open: boolean;
    onclose: () => void;
  }

  const { open: shown, onclose }: Props = $props();
  const place = getPlace();
  const identification = $derived(place.identification);
  const taken = $derived(place.plan.options.find((option) => option.method === place.plan.taken));
  const chosen = $derived(place.thermostat.choice.method !== null);
  const stops = $derived(place.standing.stops);
  const open = $derived(place.standing.open);
  /** A look that may open a better way than the best so far. */
  const first = $derived(place.looks.find((look) => look.opens !== null));
  const unseen = $derived(place.unread.wall + place.unread.equipment);
  const unseenText = $derived(
    `Not seen yet: ${[
      [place.unread.wall, 'at the wall'] as const,
      [place.unread.equipment, 'at the equipment'] as const
    ]
      .filter(([count]) => count > 0)
      .map(([count, where]) => `${counted(count, 'end', 'ends')} ${where}`)
      .join(' and ')}.`
  );
  const openCount = $derived(open.length + (unseen > 0 ? 1 : 0));
</script>

<Dialog open={shown} title="How it stands" {onclose}>
  <section class="items" aria-label="Standing">
    <Why
      class="item"
      title="Why this system"
      label="System: {FAMILY_NAMES[identification.family]}. Open the reasons"
    >
      <span class="head">System</span>
      <span class="value"
        >{identification.family === 'unknown'
          ? 'Not known yet'
          : FAMILY_NAMES[identification.family]}{#if identification.family !== 'unknown'}<span
            class="quiet font-normal"
            >&ensp;{identification.stated ? 'stated' : percentText(identification.probability)}</span
          >{/if}</span
      >
      {#snippet reasons()}
        <FindingList findings={identification.findings} />
        <EvidenceList />
      {/snippet}
    </Why>
    <Why
      class="item"
      title="How the thermostat fits"
      label="Thermostat: {place.device ? deviceName(place.device) : 'none chosen'}. Open the reasons"
    >
      <span class="head">Thermostat</span>
      <span class="value">{place.device ? deviceName(place.device) : 'None chosen'}</span>
      {#snippet reasons()}
        {#if place.match}
          <p class="mb-2"><FitMark match={place.match} /></p>
          <FindingList findings={place.match.findings} />
          {#if place.match.findings.length === 0}<p>Everything that works today has a terminal on it.</p>{/if}
        {:else}
          <p>
            No thermostat is chosen yet. The C wire is planned for any connected thermostat that needs a
            constant supply.
          </p>
        {/if}
      {/snippet}
    </Why>
    <Why
      class="item"
      title="How the supply was judged"
      label="Supply: {taken?.title ?? 'none'}. Open the reasons"
    >
      <span class="head">{chosen || place.plan.undecided ? 'C wire' : 'C wire, best so far'}</span>
      <span class="value">
        {#if first && !chosen}Look first: {say(
            lookShort(first.at)
          )}{:else if place.plan.undecided && !chosen}Not decided yet{:else}{taken?.title ?? 'None'}{/if}
      </span>
      {#snippet reasons()}
        {#if first}<p class="mb-2">Look first: {say(lookText(first.at))}</p>{/if}
        {#if taken}
          <p class="mb-2"><VerdictMark verdict={taken.verdict} /></p>
          {#if taken.whyAbove}<p class="mb-2">It stands {taken.whyAbove}.</p>{/if}
          <FindingList findings={taken.findings} />
          {#each taken.proof?.worlds ?? [] as world (world.world.id)}
            <h3 class="mt-3 font-semibold">Solved for {world.world.says}</h3>
            <ProofTable proof={world} />
          {/each}
        {/if}
      {/snippet}
    </Why>
    <div class="p-3">
      <h3 class="font-semibold">
        {stops.length === 0 ? 'No stop' : counted(stops.length, 'stop', 'stops')}, {openCount} open
      </h3>
      {#if unseen > 0}<p class="my-2">
          {unseenText}
        </p>{/if}
      <FindingList findings={[...stops, ...open]} />
      {#if stops.length + openCount === 0}<p>Nothing stops, and nothing is open.</p>{/if}
    </div>
  </section>
</Dialog>

<style>
  .items :global(.item) {
    display: flex;
    flex-direction: column;
    align-items: flex-start;
    width: 100%;
    text-align: left;
    padding: 0.5rem 0.75rem;
    cursor: pointer;
    border-bottom: 1px solid var(--color-base-300);
  }

  .items :global(.item:hover) {
    background: var(--color-base-200);
  }

  .head {
    font-size: 0.8125rem;
    opacity: 0.82;
  }

  .value {
    font-weight: 650;
  }
</style>
