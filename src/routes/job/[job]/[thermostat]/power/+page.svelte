<script lang="ts">
  /** Station: power up. In the right order; then what one sees. */
  import { goto } from '$app/navigation';
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
  // A phone may put the page away while somebody is at the breaker. Further work on the wires, or an answer, begins the list anew.
  const order = typedHere(
    'power-up',
    { ticked: [] as number[] },
    { part: () => String(place.thermostat.log.length) }
  );
  const ready = $derived(steps.every((_, at) => order.ticked.includes(at)));
  let lit = $state(false);

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
    emptied(order);
    if (answer === 'lit') lit = true;
    else await goto(`${base}/why`);
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
      {place.plan.moves.length > 0
        ? `${place.plan.moves.length} steps are still to do: power comes after them.`
        : 'In this order, one after the other.'}
    </p>
  </div>
  <section class="sheet-of-paper p-4" aria-label="In this order">
    <ol class="flex flex-col">
      {#each steps as text, at (at)}
        <li>
          <label class="flex min-h-12 cursor-pointer items-center gap-3 text-lg">
            <input type="checkbox" class="checkbox" checked={order.ticked.includes(at)} onchange={() => tick(at)} />
            <span><Explained {text} /></span>
          </label>
        </li>
      {/each}
    </ol>
  </section>

  <section class="sheet-of-paper border-2 p-4" aria-label="What do you see?">
    <h2 class="section-title mb-2">What do you see?</h2>
    {#if !ready && !lit}<p class="quiet mb-2">After the steps above. Smell, heat or smoke: at once.</p>{/if}
    <div class="flex flex-col gap-2">
      {#each SEEN as entry (entry.text)}
        <button
          type="button"
          class="btn btn-outline h-auto min-h-12 justify-start py-2 text-left text-lg whitespace-normal"
          onclick={() => saw(entry)}>{say(entry.text)}</button
        >
      {/each}
    </div>
    {#if lit}
      <p class="mt-3 text-lg" role="status">
        <b>Good.</b> Now set it up, before anything runs.
        <a class="btn btn-primary btn-lg mt-2" href="{base}/set-up">Set up</a>
      </p>
    {/if}
  </section>

  <section class="sheet-of-paper p-4" aria-label="Simulated thermostat">
    <h2 class="section-title mb-1">What it should look like</h2>
    <Simulated />
  </section>
</div>
