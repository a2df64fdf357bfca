<script lang="ts">
  /** One setting: what it is to be, where it is on the device, why, and what goes wrong otherwise; a tick once it is made. */
  import Check from '@lucide/svelte/icons/check';
  import TriangleAlert from '@lucide/svelte/icons/triangle-alert';
  import type { Setting, SettingsSheet } from '$core/handover/settings';
  import { otherwiseText, placeText, reasonText } from '$core/handover/setting-words';
  import { SYSTEM_SETTINGS } from '$core/trade/setting-ids';
  import { SETTING_NAMES, SETTING_VALUES, settingValueName } from '$core/trade/settings';
  import ChoiceField from '../fields/choice-field.svelte';
  import Explained from '../words/explained.svelte';
  import { moment, say } from '../words/manner.svelte';

  interface Props {
    setting: Setting;
    style: SettingsSheet['style'];
    /** Why it cannot be made yet; empty where it can. */
    held: string;
    /** Where an unknown one is answered. */
    askAt: string;
    onmake: (value: string | null) => void;
  }

  let { setting, style, held, askAt, onmake }: Props = $props();
  const name = $derived(SETTING_NAMES[setting.id]);
  const where = $derived(placeText(style, setting));
  const wrong = $derived(
    setting.made !== null && setting.value !== null && setting.made.value !== setting.value
      ? setting.made.value
      : null
  );
  const others = $derived(
    Object.entries(SETTING_VALUES[setting.id] ?? {}).filter(([value]) => value !== setting.value)
  );
</script>

<li
  class="sheet-of-paper flex flex-col gap-2 p-4"
  data-setting={setting.id}
  data-made={setting.made !== null && wrong === null}
>
  <div class="flex flex-wrap items-start justify-between gap-x-4 gap-y-2">
    <div class="min-w-0 flex-1 basis-56">
      <h3 class="quiet text-base">{say(name)}</h3>
      {#if setting.value === null}
        <p class="text-xl font-bold">Not known yet</p>
        <p>{say(setting.ask)} <a class="underline" href={askAt}>Answer it</a></p>
        {#if others.length > 0}
          <div class="mt-2 max-w-xs">
            <ChoiceField
              label="I know it, and have set it to"
              value={setting.made?.value ?? ''}
              choices={[['', 'not set'], ...others]}
              onset={(value) => onmake(value === '' ? null : value)}
            />
          </div>
        {/if}
      {:else}
        <p class="text-xl font-bold break-words">{say(settingValueName(setting.id, setting.value))}</p>
        {#if where !== ''}<p class="text-lg">{say(where)}</p>
        {:else if style !== 'unknown' && SYSTEM_SETTINGS.has(setting.id)}<p class="quiet">
            Its sheet names no such setting.
          </p>{/if}
      {/if}
    </div>
    {#if setting.value !== null}
      <button
        type="button"
        class="btn btn-lg"
        class:btn-neutral={setting.made !== null && wrong === null}
        class:btn-outline={setting.made === null || wrong !== null}
        aria-pressed={setting.made !== null && wrong === null}
        aria-label="Set: {name}"
        disabled={held !== '' && setting.made === null}
        onclick={() => onmake(setting.made !== null && wrong === null ? null : setting.value)}
        >{#if setting.made !== null && wrong === null}<Check size={20} aria-hidden="true" />Set{:else}I set it{/if}</button
      >
    {/if}
  </div>
  {#if setting.presetWrong !== null}
    <p class="flex items-center gap-2 font-semibold">
      <TriangleAlert size={18} aria-hidden="true" />Comes set to “{setting.presetWrong}”: wrong in this house.
    </p>
  {/if}
  {#if wrong !== null}
    <p class="font-semibold" role="alert">
      You set “{settingValueName(setting.id, wrong)}”: this house needs “{settingValueName(
        setting.id,
        setting.value ?? ''
      )}”.
    </p>
  {/if}
  {#if held !== '' && setting.made === null}<p class="quiet">{held}</p>{/if}
  {#if setting.made && wrong === null}<p class="quiet text-sm">{moment(setting.made.at)}</p>{/if}
  <details>
    <summary class="min-h-6 cursor-pointer underline">Why</summary>
    <p class="mt-1"><Explained text={reasonText(setting.reason)} /></p>
    {#if setting.otherwise.length > 0}
      <ul class="mt-1 list-disc pl-5">
        {#each setting.otherwise as other (other.value)}<li>
            {say(otherwiseText(setting.id, other))}
          </li>{/each}
      </ul>
    {/if}
    {#if setting.value !== null && others.length > 0}
      <div class="mt-2 max-w-xs">
        <ChoiceField
          label="It is set otherwise"
          value=""
          choices={[['', 'choose …'], ...others]}
          onset={(value) => value !== '' && onmake(value)}
        />
      </div>
    {/if}
  </details>
</li>
