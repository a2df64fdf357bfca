<script lang="ts">
  /** Doing: one step at a time, large, on a phone that stands on the floor; the whole list stands under Steps. */
  import ArrowLeft from '@lucide/svelte/icons/arrow-left';
  import Check from '@lucide/svelte/icons/check';
  import Volume2 from '@lucide/svelte/icons/volume-2';
  import { onMount, tick } from 'svelte';
  import { moveSvg } from '$core/formats/move-svg';
  import { doMove, takeBack } from '$core/plan/doing';
  import { cautionOf, gateOf, movesBack, paceOf, stepsBack } from '$core/plan/hands';
  import { moveKey, movesDone, wiringsAlong } from '$core/plan/moves';
  import { Aloud } from '$lib/doing/aloud.svelte';
  import { Awake } from '$lib/doing/awake.svelte';
  import Stopping from '$lib/doing/stopping.svelte';
  import OnDemand from '$lib/frame/on-demand.svelte';
  import { placeHead } from '$lib/moves/groups';
  import PhotoStrip from '$lib/photos/photo-strip.svelte';
  import { clock } from '$lib/state/clock.svelte';
  import { getPlace } from '$lib/state/context';
  import { say } from '$lib/words/manner.svelte';

  const place = getPlace();
  const plan = $derived(place.plan);
  const base = $derived(`/job/${place.job.id}/${place.thermostat.id}`);
  /** Going back to the house as it was found, instead of on. */
  let back = $state(false);
  const moves = $derived(back ? movesBack(plan) : plan.moves);
  const done = $derived(movesDone(plan.wiringFound, plan.done));
  const move = $derived(moves[0]);
  const following = $derived(moves[1]);
  const along = $derived(wiringsAlong(plan.wiringNow, moves.slice(0, 1)));
  const picture = $derived(
    move && along[0] && along[1]
      ? moveSvg(along[0], along[1], move, { line: 'currentColor', paper: 'var(--color-base-100)' })
      : null
  );
  const gate = $derived(move ? gateOf(move, place.safety, plan) : 'open');
  const pace = $derived(paceOf(plan.done));
  const left = $derived(pace === null ? null : Math.round((pace * moves.length) / 5) * 5);
  const head = $derived.by(() => {
    if (!move) return '';
    const machine = place.machines.find(({ name }) => name === move.place);
    return machine?.place
      ? `${machine.name}, ${machine.place}`
      : machine
        ? machine.name
        : placeHead(move.place);
  });
  /** Characters above which a step is set smaller. */
  const LONG = 90;
  const MOMENTS: ReadonlySet<string> = new Set(['lift', 'mount', 'land']);

  const awake = new Awake();
  const aloud = new Aloud();
  onMount(() => {
    const letGo = awake.hold();
    return () => {
      letGo();
      aloud.stop();
    };
  });
  let heading = $state<HTMLElement>();
  /** The code for a second phone. */
  let showing = $state(false);

  const now = () => new Date(clock.now).toISOString();

  async function doIt(): Promise<void> {
    if (!move) return;
    const key = moveKey(move);
    const fresh = await place.freshPlan();
    const list = back ? movesBack(fresh) : fresh.moves;
    const own = list.find((other) => moveKey(other) === key);
    if (own)
      place.session.edit(
        doMove(place.job, place.thermostat.id, { wiringNow: fresh.wiringNow, moves: list }, own, now())
      );
    await place.freshPlan();
    await tick();
    heading?.focus();
    if (move) aloud.say(`${move.text} ${cautionOf(move)}`);
  }

  async function undoLast(): Promise<void> {
    const fresh = await place.freshPlan();
    const last = movesDone(fresh.wiringFound, fresh.done).at(-1);
    const step = last && takeBack(place.job, place.thermostat.id, fresh, last.entry.id, now());
    if (step) place.session.edit(step);
  }
</script>

<svelte:head><title>Step by step · {place.thermostat.name} · Ulterum</title></svelte:head>

<div class="mx-auto flex max-w-2xl flex-col gap-4">
  <div class="flex items-end justify-between gap-2">
    <h1 class="station-title">{back ? 'Put it back as it was' : 'Step by step'}</h1>
    <a class="btn btn-ghost btn-sm" href="{base}/moves">The whole list</a>
  </div>

  {#if plan.misfits.length > 0}
    <section class="sheet-of-paper border-2 p-4" role="status" data-steps-back={plan.misfits.length}>
      <p class="font-semibold">
        These steps were done, and no longer fit what you recorded. Take them back first, in this order:
      </p>
      <ol class="mt-2 list-decimal pl-6">
        {#each stepsBack(plan) as text, at (at)}<li>{say(text)}</li>{/each}
      </ol>
      <p class="mt-2">
        Then see on <a class="underline" href="{base}/sheet">Wires</a> that it shows the house as it is now.
      </p>
    </section>
  {/if}

  {#if !move}
    <section class="sheet-of-paper border-2 p-5">
      <h2 class="text-2xl font-bold" tabindex="-1" bind:this={heading}>
        {back
          ? 'It is as it was found.'
          : done.length > 0
            ? 'All steps are done.'
            : 'There is nothing to do.'}
      </h2>
      {#if !back && done.length > 0}
        <p class="mt-2 text-lg">Watch it for a minute. Does it light up?</p>
        <div class="mt-3 flex flex-wrap gap-2">
          <a class="btn btn-primary btn-lg" href="{base}/power">Power it up</a>
        </div>
      {/if}
    </section>
  {:else}
    <section
      class="sheet-of-paper border-2 p-5"
      aria-label="This step"
      data-step={done.length + 1}
      data-gate={gate}
    >
      <p class="quiet">
        Step {done.length + 1} of {done.length + moves.length} · {say(head)}{left !== null
          ? ` · about ${left} min left at your pace`
          : ''}
      </p>
      {#if gate === 'stopped'}
        <h2 class="mt-1 text-2xl font-bold" tabindex="-1" bind:this={heading}>A stop is open.</h2>
        <p class="mt-2 text-lg">No step is given until it is resolved.</p>
        <a class="btn btn-primary btn-lg mt-3" href="{base}/safe">Go to it</a>
      {:else if gate === 'licensed'}
        <h2 class="mt-1 text-2xl font-bold" tabindex="-1" bind:this={heading}>
          This is for a licensed person.
        </h2>
        <p class="mt-2 text-lg">Show them the whole list; it says what and why.</p>
        <a class="btn btn-primary btn-lg mt-3" href="{base}/moves">The whole list</a>
      {:else if gate === 'prove-off'}
        <h2 class="mt-1 text-2xl font-bold" tabindex="-1" bind:this={heading}>
          First: prove that the power is off.
        </h2>
        <p class="mt-2 text-lg">
          Hands go on wires next. Each supply has to be off, and proven off today: something that ran stopped,
          or a meter shows nothing.
        </p>
        <a class="btn btn-primary btn-lg mt-3" href="{base}/safe">Prove it</a>
      {:else}
        <h2
          class={['mt-1 leading-snug font-bold', move.text.length > LONG ? 'text-lg' : 'text-2xl']}
          tabindex="-1"
          bind:this={heading}
        >
          {say(move.text)}
        </h2>
        {#if picture}
          <!-- eslint-disable-next-line svelte/no-at-html-tags -- drawn by the core, names escaped -->
          <div class="picture mt-3">{@html picture}</div>
        {/if}
        <p class="mt-3 text-lg"><b>Caution:</b> {say(cautionOf(move))}</p>
        {#if move.strip !== null || move.tools.length > 0}
          <p class="quiet mt-1">
            {[move.strip === null ? '' : `strip ${move.strip}`, move.tools.join(', ')]
              .filter(Boolean)
              .join('; ')}
          </p>
        {/if}
        <button type="button" class="btn btn-primary btn-xl mt-4 w-full" onclick={doIt}
          ><Check size={28} aria-hidden="true" />Done</button
        >
        <div class="mt-3 grid grid-cols-2 gap-2">
          <a
            class="btn btn-outline btn-lg"
            href={move.change?.kind === 'end'
              ? `${base}/sheet?strand=${encodeURIComponent(move.what)}&end=${move.end}`
              : `${base}/sheet`}>Not as shown</a
          >
          <button type="button" class="btn btn-outline btn-lg" disabled={done.length === 0} onclick={undoLast}
            ><ArrowLeft size={22} aria-hidden="true" />Back</button
          >
        </div>
        {#if MOMENTS.has(move.action)}
          <div class="mt-4"><PhotoStrip of="wall" label="Photo, if you like" /></div>
        {/if}
      {/if}
      {#if following && gate === 'open'}<p class="quiet mt-4">Then: {say(following.text)}</p>{/if}
    </section>
  {/if}

  <details class="sheet-of-paper p-4">
    <summary class="min-h-8 cursor-pointer font-semibold">If you stop here</summary>
    <div class="mt-2"><Stopping {plan} /></div>
  </details>

  <div class="flex flex-wrap gap-2">
    {#if aloud.possible}
      <button
        type="button"
        class="btn btn-outline"
        aria-pressed={aloud.on}
        onclick={() => {
          aloud.on = !aloud.on;
          if (aloud.on && move) aloud.say(`${move.text} ${cautionOf(move)}`);
          else aloud.stop();
        }}><Volume2 size={20} aria-hidden="true" />{aloud.on ? 'Reading aloud' : 'Read aloud'}</button
      >
    {/if}
    <button type="button" class="btn btn-outline" onclick={() => (showing = true)}>On another phone</button>
    {#if done.length > 0}
      <button type="button" class="btn btn-outline" onclick={() => (back = !back)}
        >{back ? 'Go on with the plan' : 'Put it back as it was'}</button
      >
    {/if}
  </div>
  {#if awake.possible}<p class="quiet text-sm">The screen stays on while this page is open.</p>{/if}
</div>

<OnDemand
  open={showing}
  load={() => import('$lib/doing/follow-dialog.svelte')}
  given={{ open: true, onclose: () => (showing = false) }}
/>

<style>
  .picture :global(svg) {
    width: 100%;
    height: auto;
  }
</style>
