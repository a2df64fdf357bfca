<script lang="ts">
  /** Who opens a cover: said for this job. Nobody else is led to a mains screw. Then off and dead, by a tester that is proven before and after. */
  import { isCompetent, isProvenDead, proveDead, sayWho } from '$core/job/mains-edits';
  import type { DeadProof, MainsControls } from '$core/job/mains-schema';
  import { MAINS_PART_NAMES, type Competence } from '$core/trade/mains';
  import { hubOf } from '$core/trade/mains-hub';
  import ChoiceField from '../fields/choice-field.svelte';
  import TextField from '../fields/text-field.svelte';
  import { clock } from '../state/clock.svelte';
  import { getPlace } from '../state/context';
  import { moment, say } from '../words/manner.svelte';

  let { mains }: { mains: MainsControls } = $props();
  const place = getPlace();
  const id = $derived(place.thermostat.id);
  const who = $derived(mains.competence.who);
  const competent = $derived(isCompetent(mains));
  const now = () => new Date(clock.now).toISOString();
  const dead = $derived(isProvenDead(mains.dead, now().slice(0, 10)));

  const WHO: readonly (readonly [Competence, string])[] = [
    ['unsaid', 'Not said yet'],
    ['licensed', 'A licensed electrician or heating engineer'],
    ['competent', 'Somebody competent, where rules allow it'],
    ['nobody', 'Nobody yet: I only write down what I can see or am told']
  ];

  type Check = 'testerBefore' | 'liveNeutral' | 'liveEarth' | 'neutralEarth' | 'testerAfter';
  const CHECKS: readonly (readonly [Check, string])[] = [
    ['testerBefore', 'Tester proven on something live'],
    ['liveNeutral', 'Live to neutral: nothing'],
    ['liveEarth', 'Live to earth: nothing'],
    ['neutralEarth', 'Neutral to earth: nothing'],
    ['testerAfter', 'Tester proven again']
  ];
  const open: DeadProof = {
    at: '',
    testerBefore: false,
    liveNeutral: null,
    liveEarth: null,
    neutralEarth: null,
    testerAfter: false
  };
  const proof = $derived(mains.dead ?? open);

  function check(name: Check, is: boolean): void {
    place.session.edit(proveDead(place.job, id, { ...proof, at: now(), [name]: is }));
  }

  /** In their order: each can be ticked once the one before it is. */
  const ready = (at: number) => CHECKS.slice(0, at).every(([name]) => proof[name] === true);
</script>

<section class="sheet-of-paper p-4" aria-label="Who opens it" data-competent={competent} data-dead={dead}>
  <h2 class="section-title mb-1">230 V: who opens it?</h2>
  <div class="grid gap-3 sm:grid-cols-2">
    <ChoiceField
      label="Who works on the mains here"
      value={who}
      choices={WHO}
      onset={(value) => place.session.edit(sayWho(place.job, id, value, mains.competence.name, now()))}
    />
    {#if competent}
      <TextField
        label={say('Name, or number of the licence')}
        value={mains.competence.name}
        onset={(name) => place.session.edit(sayWho(place.job, id, who, name, now()))}
      />
    {/if}
  </div>
  {#if !competent}
    <p class="mt-2">
      <b>Leave every cover on.</b> Write down which devices there are and where, and what gets warm when. What is
      under the screws, somebody competent reads out to you, or a photo of theirs shows it. The plan is what you
      ask for.
    </p>
  {:else}
    <fieldset class="mt-3">
      <legend class="text-sm"
        >{say(
          `Spur off at both poles, fuse out and kept. Then, in this order, at the ${MAINS_PART_NAMES[hubOf(mains.devices)]}:`
        )}</legend
      >
      <ol class="mt-1 grid gap-x-4 sm:grid-cols-2">
        {#each CHECKS as [name, text], at (name)}
          <li>
            <label class="flex min-h-11 cursor-pointer items-center gap-3">
              <input
                type="checkbox"
                class="checkbox flex-none"
                checked={proof[name] === true}
                disabled={!ready(at) && proof[name] !== true}
                onchange={(event) => check(name, event.currentTarget.checked)}
              />{at + 1}. {text}
            </label>
          </li>
        {/each}
      </ol>
      <p class="text-sm" role="status">
        {#if dead && mains.dead}<b>Proven dead</b> {moment(mains.dead.at)}. It counts for today.{:else}Not
          proven today. A dark display or a switch that is off proves nothing.{/if}
      </p>
    </fieldset>
  {/if}
</section>
