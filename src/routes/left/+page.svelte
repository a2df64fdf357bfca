<script lang="ts">
  /** The codes on a furnace door: each holds a part of the record of the house, as it was left. Nobody's server is asked. */
  import Camera from '@lucide/svelte/icons/camera';
  import { onMount, tick } from 'svelte';
  import { goto } from '$app/navigation';
  import { gatherLeft, readLeftPart, type LeftPart } from '$core/formats/left-code';
  import { faultText } from '$core/job/faults';
  import type { Job } from '$core/job/schema';
  import { counted } from '$core/words/text';
  import { dotsOf, readCode } from '$lib/left/code-reader';
  import { keepParts, keptParts } from '$lib/left/kept-parts';
  import { day } from '$lib/words/manner.svelte';

  let parts = $state.raw<readonly LeftPart[]>([]);
  let trouble = $state('');
  let film = $state<HTMLVideoElement>();
  let stream: MediaStream | null = null;
  let filming = $state(false);
  const gathered = $derived(gatherLeft(parts));
  const job = $derived(gathered?.state === 'whole' && gathered.read.ok ? gathered.read.job : null);
  const faults = $derived(
    gathered?.state === 'whole' && !gathered.read.ok ? gathered.read.faults.map(faultText) : []
  );
  const place = $derived(job?.thermostats[0] ?? null);

  onMount(() => {
    parts = keptParts();
    takeAddress();
    addEventListener('hashchange', takeAddress);
    return () => {
      removeEventListener('hashchange', takeAddress);
      stop();
    };
  });

  function takeAddress(): void {
    if (location.hash.length > 1) take(location.hash);
  }

  /** What a code says; true where it was a part of a sheet. */
  function take(text: string): boolean {
    const part = readLeftPart(text);
    if ('fault' in part) {
      trouble = faultText(part.fault);
      return false;
    }
    trouble = '';
    parts = [...parts.filter(({ part: number, sum }) => number !== part.part || sum !== part.sum), part];
    keepParts(parts);
    return true;
  }

  async function fromPicture(event: Event): Promise<void> {
    const input = event.currentTarget as HTMLInputElement;
    const files = [...(input.files ?? [])];
    input.value = '';
    for (const file of files) {
      try {
        const text = await readCode(await dotsOf(file));
        if (text === null)
          trouble = `${file.name}: no code can be seen in it. Nearer, straight above, with light on it.`;
        else take(text);
      } catch {
        trouble = `${file.name}: this is no picture that the browser can read.`;
      }
    }
  }

  const FRAME_MS = 250;

  async function begin(): Promise<void> {
    try {
      stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' } });
    } catch {
      trouble = 'The camera is not to be had here. Take a picture, and bring that in.';
      return;
    }
    filming = true;
    await tick();
    if (!film) return stop();
    film.srcObject = stream;
    await film.play().catch(() => undefined);
    void look();
  }

  async function look(): Promise<void> {
    while (filming && film) {
      if (film.videoWidth > 0) {
        const text = await readCode(await dotsOf(film)).catch(() => null);
        if (text !== null && take(text) && gatherLeft(parts)?.state === 'whole') return stop();
      }
      await new Promise((next) => setTimeout(next, FRAME_MS));
    }
  }

  function stop(): void {
    filming = false;
    stream?.getTracks().forEach((track) => track.stop());
    stream = null;
  }

  /** Where mains controls have a station of their own for it. */
  const MAINS_STATIONS = { keep: 'built', why: 'fault', thermostat: 'controller' } as const;

  /** Kept here as it was left; `again`: opened, to go on from there. */
  async function keep(station: 'keep' | 'why' | 'thermostat', again: boolean): Promise<void> {
    if (!job || !place) return;
    const { keepJob } = await import('$lib/home/keep-job');
    const own: Job = again ? { ...job, closed: null } : job;
    const kept = await keepJob(own);
    if (!kept.ok) return void (trouble = kept.why);
    keepParts([]);
    const there = place.mains === null ? station : MAINS_STATIONS[station];
    await goto(`/job/${kept.id}/${place.id}/${there}`, { replaceState: true });
  }

  function forget(): void {
    parts = [];
    trouble = '';
    keepParts([]);
  }
</script>

<svelte:head><title>The code on the door · Ulterum</title></svelte:head>

<main class="mx-auto flex max-w-xl flex-col gap-4 p-4">
  <h1 class="station-title">The code on the door</h1>
  {#if job && place}
    <section class="sheet-of-paper border-2 p-4" aria-label="As it was left" data-left="whole">
      <h2 class="section-title">{job.name}: {place.name}</h2>
      <p class="quiet">
        {[
          job.place,
          job.closed
            ? `left on ${day(job.closed.at.slice(0, 10))}${job.closed.by === '' ? '' : ` by ${job.closed.by}`}`
            : ''
        ]
          .filter(Boolean)
          .join(' · ')}
      </p>
      <p class="mt-1">
        {counted((place.mains?.wires ?? place.conductors).length, 'wire', 'wires')}, {counted(
          (place.mains ?? place).log.length,
          'step',
          'steps'
        )} done, {counted((place.mains ?? place).tests.length, 'test', 'tests')}. It came in the code itself:
        no server has seen it.
      </p>
      <div class="mt-3 flex flex-col gap-2">
        <button type="button" class="btn btn-primary btn-lg" onclick={() => keep('keep', false)}
          >Show the house as it was left</button
        >
        <button type="button" class="btn btn-outline btn-lg" onclick={() => keep('why', true)}
          >Something does not work: find out why</button
        >
        <button type="button" class="btn btn-outline btn-lg" onclick={() => keep('thermostat', true)}
          >Begin a job from here</button
        >
      </div>
    </section>
  {:else if faults.length > 0}
    <div class="sheet-of-paper p-4" role="alert">
      <p class="font-semibold">These codes cannot be read.</p>
      <ul class="list-disc pl-5">
        {#each faults.slice(0, 5) as fault (fault)}<li>{fault}</li>{/each}
      </ul>
    </div>
  {:else if gathered?.state === 'more'}
    <p class="sheet-of-paper p-4 text-lg" role="status" data-left="more">
      <b>{gathered.have.length} of {gathered.parts}</b> read: {gathered.have.join(', ')}. Scan the others of
      the same sheet.
    </p>
  {:else}
    <p class="text-lg">
      Scan the codes on the sheet inside the furnace door: they hold the record of the house.
    </p>
  {/if}
  {#if trouble !== ''}<p class="font-semibold" role="alert">{trouble}</p>{/if}
  {#if !job}
    {#if filming}
      <video bind:this={film} playsinline muted class="rounded-box w-full" aria-label="Picture of the camera"
      ></video>
      <button type="button" class="btn btn-outline" onclick={stop}>Stop the camera</button>
    {:else}
      <button type="button" class="btn btn-primary btn-lg" onclick={begin}
        ><Camera size={22} aria-hidden="true" />Scan with the camera</button
      >
    {/if}
    <label class="btn btn-outline btn-lg"
      >From pictures
      <input class="sr-only" type="file" accept="image/*" multiple onchange={fromPicture} />
    </label>
  {/if}
  {#if parts.length > 0}
    <button type="button" class="btn btn-ghost self-start" onclick={forget}>Begin again</button>
  {/if}
  <a class="underline" href="/">All jobs</a>
</main>
