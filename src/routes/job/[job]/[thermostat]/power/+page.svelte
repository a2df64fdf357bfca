<script lang="ts">
  /** Station: power up. In the right order; then what one sees. */
  import { goto } from '$app/navigation';
  import { isLit } from '$core/job/lit';
  import { counted } from '$core/words/text';
  import { FindingOut } from '$lib/why/finding-out.svelte';
  import Simulated from '$lib/power/simulated.svelte';
  import { getPlace } from '$lib/state/context';
  import { emptied, typedHere } from '$lib/state/typed.svelte';
  import Explained from '$lib/words/explained.svelte';
  import { say } from '$lib/words/manner.svelte';

  const place = getPlace();
  const out = new FindingOut(place);
  const base = $derived(`/job/${place.job.id}/${place.thermostat.id}`);
  const machine = $derived(place.machines[0]);
  const steps = $derived([
    'The head of the thermostat sits on its plate: press all four corners.',
    'Every cover and door is on, and presses its switch.',
    `The service switch is on${machine?.serviceSwitch ? ` (${machine.serviceSwitch})` : ''}.`,
    `The breaker is on${machine?.breaker ? ` (${machine.breaker})` : ''}.`,
    'Watch, listen and smell for a minute.'
  ]);
  // A phone may put the page away while somebody is at the breaker. Further work on the wires, or something that is wrong, begins the list anew.
  const order = typedHere(
    'power-up',
    { ticked: [] as number[] },
    { part: () => String(place.thermostat.log.length) }
  );
  const ready = $derived(steps.every((_, at) => order.ticked.includes(at)));
  const left = $derived(place.plan.moves.length);
  const lit = $derived(isLit(place.thermostat.seen));

  /** What one may see, and which observation it answers; a stop sign ends it. */
  const SEEN = [
    { text: 'It is lit', observation: 'display', answer: 'lit' },
    { text: 'It is dim, or starts again and again', observation: 'display', answer: 'dim' },
    { text: 'It stays dark', observation: 'display', answer: 'dark' },
    { text: 'Something hums or chatters', observation: 'hum', answer: 'hums' },
    { text: 'The fuse has opened', observation: 'fuse', answer: 'open' },
    { text: 'It smells burnt, or something is hot', observation: 'smell', answer: 'yes' }
  ] as const;

  async function saw({ observation, answer, text }: (typeof SEEN)[number]): Promise<void> {
    out.see(observation, answer, text);
    if (answer === 'lit') return;
    emptied(order);
    await goto(`${base}/why`);
  }

  function tick(at: number): void {
    order.ticked = order.ticked.includes(at)
      ? order.ticked.filter((other) => other !== at)
      : [...order.ticked, at];
  }
</script>

<svelte:head><title>Power up · {place.thermostat.name} · Ulterum</title></svelte:head>

<div class="mx-auto flex max-w-2xl flex-col gap-4">
  <div>
    <h1 class="station-title">Power up</h1>
    <p class="quiet">
      {left > 0
        ? `${counted(left, 'step is', 'steps are')} still to do: power comes after ${left === 1 ? 'it' : 'them'}.`
        : 'In this order, one after the other.'}
    </p>
  </div>
  <section class="sheet-of-paper p-4" aria-label="In this order">
    <ol class="flex flex-col">
      {#each steps as text, at (at)}
        <li>
          <label class="flex min-h-12 cursor-pointer items-center gap-3 text-lg">
            <input
              type="checkbox"
              class="checkbox"
              checked={order.ticked.includes(at)}
              onchange={() => tick(at)}
            />
            <span><Explained {text} /></span>
          </label>
        </li>
      {/each}
    </ol>
  </section>

  <section class="sheet-of-paper border-2 p-4" aria-label="What do you see?">
    <h2 class="section-title mb-2">What do you see?</h2>
    {#if lit}
      <!-- Above what was pressed: below all six it would be out of sight on a phone. -->
      <div class="mb-3 flex flex-wrap items-center justify-between gap-2 text-lg" role="status">
        {#if left === 0}
          <p><b>Good.</b> Now set it up, before anything runs.</p>
          <a class="btn btn-primary btn-lg" href="{base}/set-up">Set up</a>
        {:else}
          <p>It is lit with {counted(left, 'step', 'steps')} to go: they come first, with the power off.</p>
          <a class="btn btn-primary btn-lg" href="{base}/moves">Steps</a>
        {/if}
      </div>
    {:else if !ready}<p class="quiet mb-2">After the steps above. Smell, heat or smoke: at once.</p>{/if}
    <div class="flex flex-col gap-2">
      {#each SEEN as entry (entry.text)}
        <button
          type="button"
          class="btn btn-outline h-auto min-h-12 justify-start py-2 text-left text-lg whitespace-normal"
          onclick={() => saw(entry)}>{say(entry.text)}</button
        >
      {/each}
    </div>
  </section>

  <section class="sheet-of-paper p-4" aria-label="Simulated thermostat">
    <h2 class="section-title mb-1">What it should look like</h2>
    <Simulated />
  </section>
</div>
