<script lang="ts">
  /** The simulated thermostat on this wiring: what a real one would show, before a real one gets power. */
  import { simulate } from '$core/circuit/simulate';
  import type { Setting } from '$core/handover/settings';
  import { effectText } from '$core/handover/setting-words';
  import { behaviourOf, otherwiseWith } from '$core/session/set-up';
  import { feedOf, screenAt } from '$core/session/simulated-thermostat';
  import { SYSTEM_SETTINGS, type SettingId } from '$core/trade/setting-ids';
  import { SETTING_NAMES, SETTING_VALUES } from '$core/trade/settings';
  import ChoiceField from '../fields/choice-field.svelte';
  import { powerable } from '$core/plan/powered';
  import { summariseSignal } from '$core/survey/signal';
  import { callName, type Call } from '$core/trade/calls';
  import { getPlace } from '../state/context';
  import { say } from '../words/manner.svelte';

  interface Props {
    /** Where it is set up by hand: the settings that this house needs. */
    settings?: readonly Setting[];
  }

  let { settings = [] }: Props = $props();
  const place = getPlace();
  /** Set otherwise than the house needs. */
  let tried: Readonly<Partial<Record<SettingId, string>>> = $state.raw({});
  const known = $derived(
    Object.fromEntries(
      settings.flatMap(({ id, value, made }) => {
        const set = made?.value ?? value;
        return set === null ? [] : [[id, set]];
      })
    )
  );
  const offered = $derived(
    settings.filter(({ id, value }) => value !== null && SYSTEM_SETTINGS.has(id) && SETTING_VALUES[id])
  );
  const setUp = $derived({ ...known, ...tried });
  const FASTER = 20;
  const TICK_MS = 250;
  const subject = $derived(
    powerable(place.plan, place.plan.wiringAfter && place.plan.moves.length > 0 ? 'after' : 'now')
  );
  const calls = $derived(
    'code' in subject ? [] : subject.calls.filter((call) => call !== 'idle' && !call.includes('+'))
  );
  let on = $state(false);
  let fast = $state(false);
  let call = $state<Call | null>(null);
  let seconds = $state(0);
  let calledAt = $state(0);
  const solve = (wanted: Call) => {
    if ('code' in subject) return null;
    const { wiring, world, makes } = behaviourOf(subject.wiring, subject.world, setUp);
    const solved = simulate(wiring, world, makes(wanted));
    return solved.ok ? solved.result : null;
  };
  const idle = $derived(solve('idle'));
  const called = $derived(call === null ? null : solve(call));
  const window = $derived({ least: place.plan.device.voltsMin, most: place.plan.device.voltsMax });
  const dbm = $derived(summariseSignal(place.thermostat.signal).median ?? null);
  const screen = $derived(
    on && idle
      ? screenAt(feedOf(idle, called, window), {
          seconds,
          called: call === null ? null : seconds - calledAt,
          dbm
        })
      : null
  );

  /** What a wrong setting does in the call that is on. */
  const wrong = $derived.by(() => {
    if ('code' in subject || call === null || settings.length === 0) return '';
    const [effect] = otherwiseWith(subject.wiring, subject.world, [call], setUp);
    return effect ? effectText(effect) : '';
  });

  $effect(() => {
    if (!on) return;
    const timer = setInterval(() => (seconds += (TICK_MS / 1000) * (fast ? FASTER : 1)), TICK_MS);
    return () => clearInterval(timer);
  });

  function power(): void {
    on = !on;
    seconds = 0;
    call = null;
  }

  function make(wanted: Call | null): void {
    call = wanted;
    calledAt = seconds;
  }
</script>

<p class="quiet text-sm">
  Simulated and made up: it gets the volts that the circuit gives at the wall, with the wiring {place.plan
    .moves.length > 0
    ? 'as planned'
    : 'as it is now'}.
</p>
{#if offered.length > 0}
  <div class="mt-2 grid gap-2 sm:grid-cols-2">
    {#each offered as setting (setting.id)}
      <ChoiceField
        label={SETTING_NAMES[setting.id]}
        value={setUp[setting.id] ?? ''}
        choices={Object.entries(SETTING_VALUES[setting.id] ?? {})}
        onset={(value) => (tried = { ...tried, [setting.id]: value })}
      />
    {/each}
  </div>
{/if}
{#if 'code' in subject}
  <p>Nothing can be powered here yet.</p>
{:else}
  <div
    class="screen"
    role="status"
    aria-label="Screen of the simulated thermostat"
    data-phase={screen?.phase ?? 'off'}
  >
    {#each screen?.lines ?? [] as line (line)}<p>{line}</p>{/each}
    {#if !screen || screen.lines.length === 0}<p class="quiet">{on ? 'dark' : 'no power'}</p>{/if}
  </div>
  {#if wrong !== ''}<p class="mt-2 font-semibold" role="alert">Set like this, {say(wrong)}.</p>{/if}
  <div class="mt-3 flex flex-wrap gap-2">
    <button
      type="button"
      class="btn"
      class:btn-neutral={on}
      class:btn-outline={!on}
      aria-pressed={on}
      onclick={power}>{on ? 'Power off' : 'Power on'}</button
    >
    {#each calls as wanted (wanted)}
      <button
        type="button"
        class="btn"
        class:btn-neutral={call === wanted}
        class:btn-outline={call !== wanted}
        aria-pressed={call === wanted}
        disabled={screen?.phase !== 'ready' && call !== wanted}
        onclick={() => make(call === wanted ? null : wanted)}>{callName(wanted)}</button
      >
    {/each}
    <button type="button" class="btn btn-ghost" aria-pressed={fast} onclick={() => (fast = !fast)}
      >{fast ? `Time runs ${FASTER} times` : 'Let time run faster'}</button
    >
  </div>
{/if}

<style>
  .screen {
    min-height: 7rem;
    max-width: 20rem;
    margin-top: 0.5rem;
    padding: 1rem;
    border-radius: 0.75rem;
    background: var(--color-neutral);
    color: var(--color-neutral-content);
    font-weight: 600;
  }

  .screen .quiet {
    color: color-mix(in oklab, var(--color-neutral-content) 80%, transparent);
    font-weight: 400;
  }
</style>
