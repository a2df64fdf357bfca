<script lang="ts">
  /** The settings of a device as its sheet has them: where each is, what each value is called, what it comes with. */
  import Trash from '@lucide/svelte/icons/trash-2';
  import { SET_UP_STYLES, type SetUpEntry, type SetUpMenu } from '$core/job/device-facts';
  import { SETTING_IDS, type SettingId } from '$core/trade/setting-ids';
  import { SETTING_NAMES, SETTING_VALUES, settingValueName } from '$core/trade/settings';
  import ChoiceField from '../fields/choice-field.svelte';
  import TextField from '../fields/text-field.svelte';

  interface Props {
    menu: SetUpMenu;
    onchange: (menu: SetUpMenu) => void;
  }

  let { menu, onchange }: Props = $props();
  const STYLES: Readonly<Record<SetUpMenu['style'], string>> = {
    unknown: 'not read yet',
    numbers: 'numbered functions',
    questions: 'questions on its screen',
    switches: 'switches',
    dial: 'a dial',
    menus: 'menus with names'
  };
  const left = $derived(
    SETTING_IDS.filter((id) => SETTING_VALUES[id] && !menu.entries.some(({ setting }) => setting === id))
  );
  const valuesOf = (id: SettingId) => Object.keys(SETTING_VALUES[id] ?? {});

  function change(setting: SettingId, changed: Partial<SetUpEntry>): void {
    const entries = menu.entries.map((entry) =>
      entry.setting === setting ? { ...entry, ...changed } : entry
    );
    onchange({ ...menu, entries });
  }

  function add(setting: SettingId): void {
    const values = valuesOf(setting).map((value) => ({ value, shown: '' }));
    const style = menu.style === 'unknown' ? 'menus' : menu.style;
    onchange({ style, entries: [...menu.entries, { setting, name: '', values, preset: null }] });
  }

  function show(entry: SetUpEntry, value: string, shown: string): void {
    const others = entry.values.filter((candidate) => candidate.value !== value);
    change(entry.setting, { values: [...others, { value, shown }] });
  }
</script>

<div class="grid gap-3 py-2">
  <ChoiceField
    label="How it is set up"
    value={menu.style}
    choices={SET_UP_STYLES.map((style) => [style, STYLES[style]] as const)}
    onset={(style) => onchange({ ...menu, style: style as SetUpMenu['style'] })}
  />
  {#each menu.entries as entry (entry.setting)}
    <fieldset class="rounded-box border border-base-300 p-3">
      <legend class="px-1 font-semibold">{SETTING_NAMES[entry.setting]}</legend>
      <div class="grid gap-2 sm:grid-cols-3">
        <TextField
          label="Where, as its sheet names it"
          value={entry.name}
          onset={(name) => change(entry.setting, { name })}
        />
        {#each valuesOf(entry.setting) as value (value)}
          <TextField
            label="“{settingValueName(entry.setting, value)}” is called"
            value={entry.values.find((candidate) => candidate.value === value)?.shown ?? ''}
            onset={(shown) => show(entry, value, shown)}
          />
        {/each}
        <ChoiceField
          label="Comes set to"
          value={entry.preset ?? ''}
          choices={[
            ['', 'not said'],
            ...valuesOf(entry.setting).map(
              (value) => [value, settingValueName(entry.setting, value)] as const
            )
          ]}
          onset={(preset) => change(entry.setting, { preset: preset === '' ? null : preset })}
        />
      </div>
      <button
        type="button"
        class="btn btn-ghost btn-sm mt-2"
        onclick={() => onchange({ ...menu, entries: menu.entries.filter((other) => other !== entry) })}
        ><Trash size={16} aria-hidden="true" />Leave out</button
      >
    </fieldset>
  {/each}
  {#if left.length > 0}
    <ChoiceField
      label="Add a setting"
      value=""
      choices={[['', 'choose …'], ...left.map((id) => [id, SETTING_NAMES[id]] as const)]}
      onset={(id) => id !== '' && add(id as SettingId)}
    />
  {/if}
</div>
