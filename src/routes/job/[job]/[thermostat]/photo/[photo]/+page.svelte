<script lang="ts">
  /** A photo: pins that tie a spot to a conductor or a terminal, and the name of a colour by touch. */
  import TextField from '$lib/fields/text-field.svelte';
  import Pipette from '@lucide/svelte/icons/pipette';
  import MapPin from '@lucide/svelte/icons/map-pin';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { setConductorField } from '$core/job/edits';
  import { LIMITS } from '$core/job/limits';
  import { placesFor } from '$core/job/places';
  import { refName, screwName } from '$core/job/screws';
  import { setWire } from '$core/job/mains-edits';
  import { conductorName } from '$core/job/names';
  import { wireName } from '$core/wiring/from-mains';
  import { nameColour, whiteFaultText, type ColourGuess, type Rgb } from '$core/reading/colour-name';
  import type { Photo, Pin } from '$core/job/reading-schema';
  import { COLOURS, type ColourCode } from '$core/trade/colours';
  import Dialog from '$lib/frame/dialog.svelte';
  import ColourChip from '$lib/sheet/colour-chip.svelte';
  import { Picture } from '$lib/photos/picture.svelte';
  import { patchReader } from '$lib/photos/spot';
  import { photoName } from '$lib/photos/words';
  import { say } from '$lib/words/manner.svelte';
  import { getPlace } from '$lib/state/context';
  import { setAt } from '$lib/state/set';

  const place = getPlace();
  const photo = $derived<Photo | undefined>(
    place.thermostat.photos.find((candidate) => candidate.id === page.params['photo'])
  );
  const picture = new Picture(
    () => place.job.id,
    () => photo?.id ?? ('ph-none' as Photo['id'])
  );
  interface PinnedWire {
    readonly id: Extract<Pin['to'], { kind: 'conductor' }>['conductor'];
    readonly name: string;
    /** Where it is, in a list where its name alone is not enough. */
    readonly where: string;
    readonly colour: ColourCode | null;
    readonly stripe: ColourCode | null;
  }
  /** The wires of the thermostat, or of the wiring centre where mains controls are recorded. */
  const wires = $derived.by((): PinnedWire[] => {
    const { mains, conductors } = place.thermostat;
    if (mains !== null)
      return mains.wires.map((wire) => {
        const device = mains.devices.find(({ id }) => id === wire.near.on?.device);
        const screw = device?.screws.find(({ id }) => id === wire.near.on?.screw);
        const where = device ? `${device.name} ${screw?.mark ?? ''}` : 'end not read';
        return { ...wire, name: `${wireName(wire)}, ${where}`, where: '' };
      });
    return conductors.map((conductor) => ({
      ...conductor,
      name: conductorName(conductor),
      where: conductor.near.on[0] ? ` on ${refName(place.job, conductor.near.on[0])}` : ''
    }));
  });
  let mode = $state<'pin' | 'white' | 'colour'>('pin');
  let cross = $state({ x: 0.5, y: 0.5 });
  let pinning = $state<{ x: number; y: number } | null>(null);
  let white = $state.raw<Rgb | null>(null);
  /** Why the last touch was no white. */
  let whiteTrouble = $state<string | null>(null);
  let guess = $state.raw<ColourGuess | null>(null);
  let target = $state('');
  let read: ((x: number, y: number) => Rgb) | null = $state.raw(null);
  let unreadable = $state(false);

  $effect(() => {
    read = null;
    unreadable = false;
    let current = true;
    if (picture.address)
      patchReader(picture.address).then(
        (reader) => {
          // The reader of a picture that is no longer shown would name the colours of another one.
          if (current) read = reader;
        },
        () => {
          if (current) unreadable = true;
        }
      );
    return () => (current = false);
  });

  const terminals = $derived(
    [
      { id: place.thermostat.id, name: 'the wall', screws: place.thermostat.screws },
      ...placesFor(place.job, place.thermostat, 'far')
    ].flatMap(({ id, name, screws }) =>
      screws.map((screw) => ({ at: id, screw: screw.id, name: `${screwName(screws, screw.id)} at ${name}` }))
    )
  );
  const full = $derived((photo?.pins.length ?? 0) >= LIMITS.pins.most);
  const modes = $derived([
    { id: 'pin', name: 'Pin a spot' },
    { id: 'white', name: 'Touch white' },
    { id: 'colour', name: say('Name a colour') }
  ] as const);

  function touch(x: number, y: number): void {
    cross = { x, y };
    if (mode === 'pin') pinning = { x, y };
    else if (mode === 'white' && read) {
      const touched = read(x, y);
      whiteTrouble = whiteFaultText(touched);
      if (whiteTrouble !== null) return;
      white = touched;
      mode = 'colour';
    } else if (read) guess = nameColour(read(x, y), white);
  }

  function click(event: MouseEvent): void {
    const box = (event.currentTarget as HTMLElement).getBoundingClientRect();
    if (event.detail === 0) return touch(cross.x, cross.y);
    touch((event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height);
  }

  function key(event: KeyboardEvent): void {
    const step = event.shiftKey ? 0.05 : 0.01;
    const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] }[
      event.key
    ];
    if (!by) return;
    event.preventDefault();
    const inside = (value: number) => Math.min(1, Math.max(0, value));
    cross = { x: inside(cross.x + by[0]!), y: inside(cross.y + by[1]!) };
  }

  function setPhoto(change: Partial<Photo>, label: string): void {
    if (photo)
      setAt(
        place,
        ['thermostats', { id: place.thermostat.id }, 'photos', { id: photo.id }],
        { ...photo, ...change },
        label
      );
  }

  function addPin(to: Pin['to']): void {
    if (!photo || !pinning || full) return;
    setPhoto({ pins: [...photo.pins, { ...pinning, to }] }, 'Pin set');
    pinning = null;
  }

  function pinText(pin: Pin): string {
    const { to } = pin;
    if (to.kind === 'terminal')
      return (
        terminals.find((terminal) => terminal.at === to.at && terminal.screw === to.screw)?.name ??
        'a terminal that is gone'
      );
    const wire = wires.find((wire) => wire.id === to.conductor);
    return wire ? `the ${wire.name} wire` : 'a wire that is gone';
  }

  function setColour(code: ColourCode): void {
    const wire = wires.find((wire) => wire.id === target);
    const { id, mains } = place.thermostat;
    if (wire)
      place.session.edit(
        mains === null
          ? setConductorField(place.job, id, wire.id, 'colour', code)
          : setWire(place.job, id, wire.id, { colour: code })
      );
    guess = null;
  }

  async function remove(): Promise<void> {
    setAt(
      place,
      ['thermostats', { id: place.thermostat.id }, 'photos'],
      place.thermostat.photos.filter((candidate) => candidate.id !== photo?.id),
      'Photo taken out'
    );
    await goto(`/job/${place.job.id}/${place.thermostat.id}/sheet`);
  }

  const sureWords = { sure: 'Sure', likely: 'Likely', unsure: 'Not sure' };
</script>

<svelte:head><title>Photo · {place.thermostat.name} · Ulterum</title></svelte:head>

{#if photo}
  <div class="flex flex-col gap-3">
    <div class="flex flex-wrap items-end justify-between gap-2">
      <h1 class="station-title">{photoName(photo)}</h1>
      <a class="btn btn-outline btn-sm" href="/job/{place.job.id}/{place.thermostat.id}/sheet"
        >Back to the wires</a
      >
    </div>
    <div class="join max-sm:flex" role="group" aria-label="What a touch does">
      {#each modes as choice (choice.id)}
        <button
          type="button"
          class="btn join-item h-auto min-h-11 py-2 leading-tight max-sm:flex-1 max-sm:flex-col max-sm:gap-1 max-sm:px-1 {mode ===
          choice.id
            ? 'btn-neutral'
            : 'btn-outline'}"
          aria-pressed={mode === choice.id}
          onclick={() => (mode = choice.id)}
          >{#if choice.id === 'pin'}<MapPin size={18} aria-hidden="true" />{:else}<Pipette
              size={18}
              aria-hidden="true"
            />{/if}{choice.name}</button
        >
      {/each}
    </div>
    <p class="quiet text-sm" role="status">
      {mode === 'pin'
        ? 'Touch a spot, then say which wire or terminal it is. By keyboard: arrows move the cross, Enter sets it.'
        : mode === 'white'
          ? 'Touch something white in the same light: paper, the plate, a label. It corrects the lamp.'
          : white
            ? 'Touch the insulation, away from glare.'
            : 'Touch the insulation; better after touching something white first.'}
    </p>
    <div
      class="holder"
      style:aspect-ratio="{photo.widthPx} / {photo.heightPx}"
      style:max-width="min(100%, calc(70vh * {photo.widthPx / photo.heightPx}))"
    >
      {#if picture.address}
        <img src={picture.address} alt={photoName(photo)} />
        <button
          type="button"
          class="field"
          data-ready={read !== null}
          aria-label="{modes.find((candidate) => candidate.id === mode)?.name}: cross at {Math.round(
            cross.x * 100
          )} and {Math.round(cross.y * 100)} per cent"
          onclick={click}
          onkeydown={key}
        >
          <span class="cross" style:left="{cross.x * 100}%" style:top="{cross.y * 100}%"></span>
        </button>
        {#each photo.pins as pin, at (at)}<span
            class="pin"
            style:left="{pin.x * 100}%"
            style:top="{pin.y * 100}%"
            aria-hidden="true">{at + 1}</span
          >{/each}
      {:else if picture.missing}
        <p class="p-6">
          This picture is kept in another browser. The file of the job with its photos brings it along.
        </p>
      {/if}
    </div>

    {#if unreadable}<p class="text-sm" role="alert">
        {say('The colours of this picture cannot be read.')}
      </p>{/if}
    {#if whiteTrouble !== null}
      <p class="sheet-of-paper p-4" role="alert">
        {whiteTrouble.charAt(0).toUpperCase() + whiteTrouble.slice(1)}.
      </p>
    {/if}
    {#if guess}
      <section class="sheet-of-paper p-4" aria-label={say('Name of the colour')}>
        <p class="mb-1">
          <b>{sureWords[guess.sure]}</b>{guess.why ? `: ${guess.why}` : ''}. {say(
            'A colour only helps to find the same wire; it never says what it does.'
          )}
        </p>
        <label class="mb-2 flex flex-col gap-1 text-sm"
          >Which wire
          <select class="select w-full max-w-sm" bind:value={target}>
            <option value="">choose one</option>
            {#each wires as wire (wire.id)}<option value={wire.id}>{wire.name}{wire.where}</option>{/each}
          </select>
        </label>
        <div class="flex flex-wrap gap-2">
          {#each [guess.best, guess.runnerUp] as code, rank (code)}
            <button
              type="button"
              class="btn {rank === 0 ? 'btn-primary' : 'btn-outline'}"
              disabled={target === ''}
              onclick={() => setColour(code)}
            >
              <ColourChip {code} stripe={null} />{rank === 0
                ? say(`Set ${COLOURS[code].name}`)
                : say(`Or ${COLOURS[code].name}`)}
            </button>
          {/each}
        </div>
      </section>
    {/if}

    <section class="sheet-of-paper p-4">
      <div class="mb-3">
        <TextField
          label="Caption"
          value={photo.caption}
          onset={(caption) => setPhoto({ caption }, 'Caption')}
        />
      </div>
      <h2 class="section-title mb-1">Pins</h2>
      {#if photo.pins.length === 0}<p class="quiet text-sm">None yet.</p>{/if}
      <ol>
        {#each photo.pins as pin, at (at)}
          <li class="flex items-center justify-between gap-2 border-b border-base-300 py-1 last:border-none">
            <span>{at + 1}. {pinText(pin)}</span>
            <button
              type="button"
              class="btn btn-ghost btn-sm"
              aria-label="Remove pin {at + 1}"
              onclick={() =>
                setPhoto({ pins: photo.pins.filter((_, position) => position !== at) }, 'Pin taken out')}
              >Remove</button
            >
          </li>
        {/each}
      </ol>
      <button type="button" class="btn btn-ghost mt-3" onclick={remove}
        >Take the photo out of the record</button
      >
    </section>
  </div>
{:else}
  <h1 class="station-title">No such photo</h1>
{/if}

<Dialog open={pinning !== null} title="What is at this spot?" onclose={() => (pinning = null)}>
  <h3 class="mb-1 font-semibold">A wire</h3>
  <div class="flex flex-wrap gap-2">
    {#each wires as wire (wire.id)}
      <button
        type="button"
        class="btn btn-outline"
        onclick={() => addPin({ kind: 'conductor', conductor: wire.id })}
        ><ColourChip code={wire.colour} stripe={wire.stripe} />{wire.name}</button
      >
    {/each}
  </div>
  <h3 class="mt-4 mb-1 font-semibold">A terminal</h3>
  <div class="flex flex-wrap gap-2">
    {#each terminals as choice (choice.name)}
      <button
        type="button"
        class="btn btn-outline"
        onclick={() => addPin({ kind: 'terminal', at: choice.at, screw: choice.screw })}>{choice.name}</button
      >
    {/each}
  </div>
  {#if wires.length + terminals.length === 0}<p>
      Record a cable or the terminals of the plate first; then a spot can be tied to them.
    </p>{/if}
</Dialog>

<style>
  .holder {
    position: relative;
    width: 100%;
    background: var(--color-base-300);
    border-radius: var(--radius-box);
    overflow: hidden;
  }

  .holder img {
    display: block;
    width: 100%;
    height: 100%;
  }

  .field {
    position: absolute;
    inset: 0;
    cursor: crosshair;
  }

  .cross {
    position: absolute;
    width: 2rem;
    height: 2rem;
    transform: translate(-50%, -50%);
    border: 2px solid #fff;
    outline: 2px solid #111;
    border-radius: 50%;
    pointer-events: none;
  }

  .pin {
    position: absolute;
    transform: translate(-50%, -50%);
    min-width: 1.6rem;
    height: 1.6rem;
    display: grid;
    place-items: center;
    background: #111;
    color: #fff;
    border: 2px solid #fff;
    border-radius: 50%;
    font-size: 0.8125rem;
    font-weight: 700;
    pointer-events: none;
  }
</style>
