<script lang="ts">
  /** The standing: which system, which thermostat, which supply, what stops, what is open. Each opens its reasons. */
  import { percentText } from '$core/trade/figures';
  import { deviceName } from '$core/match/catalogue';
  import { FAMILY_NAMES } from '$core/trade/vocabulary';
  import { sortFindings, type Finding } from '$core/findings/finding';
  import OctagonX from '@lucide/svelte/icons/octagon-x';
  import EvidenceList from '../reasons/evidence-list.svelte';
  import FindingList from '../reasons/finding-list.svelte';
  import ProofTable from '../reasons/proof-table.svelte';
  import VerdictMark from '../reasons/verdict-mark.svelte';
  import Why from '../reasons/why.svelte';
  import { FIT_WORDS } from '../device/words';
  import { lookShort, lookText } from '$core/plan/look-words';
  import { getPlace } from '../state/context';

  const place = getPlace();
  const identification = $derived(place.identification);
  const taken = $derived(place.plan.options.find((one) => one.method === place.plan.taken));
  const chosen = $derived(place.thermostat.choice.method !== null);
  const all = $derived<Finding[]>(
    sortFindings([
      ...place.recordFindings,
      ...place.safety.findings.filter((one) => one.level === 'stop'),
      ...identification.findings,
      ...place.plan.today,
      ...(place.match?.findings ?? []),
      ...(chosen ? (taken?.findings ?? []) : [])
    ])
  );
  const stops = $derived(all.filter((one) => one.level === 'stop'));
  const open = $derived(all.filter((one) => one.level === 'warn'));
  /** A look that may open a better way than the best so far. */
  const first = $derived(place.looks.find((look) => look.opens !== null));
  const unseen = $derived(place.unread.wall + place.unread.equipment);
</script>

<section class="standing no-print" aria-label="Standing">
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
        <p class="mb-2"><VerdictMark verdict={place.match.verdict} words={FIT_WORDS} /></p>
        <FindingList findings={place.match.findings} />
        {#if place.match.findings.length === 0}<p>Everything that works today has a terminal on it.</p>{/if}
      {:else}
        <p>
          No thermostat is chosen yet. The supply is planned for any connected thermostat that needs a
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
    <span class="head">{chosen ? 'Supply' : 'Supply, best so far'}</span>
    <span class="value">
      {#if first && !chosen}Look first: {lookShort(first.at)}{:else}{taken?.title ?? 'None'}{/if}
    </span>
    {#snippet reasons()}
      {#if first}<p class="mb-2">Look first: {lookText(first.at)}</p>{/if}
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
  <Why
    class="item {stops.length > 0 ? 'alarm' : ''}"
    title="What stops and what is open"
    label="{stops.length} stops, {open.length + (unseen > 0 ? 1 : 0)} open. Open the list"
  >
    <span class="head">Stops and open</span>
    <span class="value"
      >{#if stops.length > 0}<OctagonX size={18} class="inline -mt-0.5" aria-hidden="true" />
        {stops.length}
        {stops.length === 1 ? 'stop' : 'stops'}{:else}No stop{/if}<span class="font-normal"
        >, {open.length + (unseen > 0 ? 1 : 0)} open</span
      ></span
    >
    {#snippet reasons()}
      {#if unseen > 0}<p class="mb-2">
          {place.unread.wall} ends at the wall and {place.unread.equipment} at the equipment were not seen yet.
        </p>{/if}
      <FindingList findings={[...stops, ...open]} />
      {#if stops.length + open.length === 0}<p>Nothing stops, and nothing is open.</p>{/if}
    {/snippet}
  </Why>
</section>

<style>
  .standing {
    display: grid;
    grid-template-columns: repeat(4, minmax(0, 1fr));
    border: 1px solid var(--color-base-300);
    border-radius: var(--radius-box);
    background: var(--color-base-100);
    overflow: hidden;
  }

  .standing :global(.item) {
    display: flex;
    flex-direction: column;
    align-items: flex-start;
    gap: 0.05rem;
    text-align: left;
    padding: 0.5rem 0.75rem;
    min-width: 0;
    cursor: pointer;
    border-left: 1px solid var(--color-base-300);
  }

  .standing :global(.item:first-child) {
    border-left: none;
  }

  .standing :global(.item:hover) {
    background: var(--color-base-200);
  }

  .standing :global(.item:focus-visible) {
    outline-offset: -3px;
  }

  .standing :global(.alarm) {
    background: var(--color-base-content);
    color: var(--color-base-100);
  }

  .standing :global(.alarm:hover) {
    background: color-mix(in oklab, var(--color-base-content) 86%, var(--color-base-100));
  }

  .head {
    font-size: 0.8125rem;
    opacity: 0.82;
  }

  .value {
    font-weight: 650;
    max-width: 100%;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  @media (max-width: 899px) {
    .standing {
      grid-template-columns: repeat(2, minmax(0, 1fr));
    }

    .standing :global(.item) {
      padding: 0.35rem 0.6rem;
    }

    .standing :global(.item:nth-child(odd)) {
      border-left: none;
    }

    .standing :global(.item:nth-child(n + 3)) {
      border-top: 1px solid var(--color-base-300);
    }
  }
</style>
