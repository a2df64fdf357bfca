/**
 * How the shipped, made-up thermostats are set up: numbered functions, questions on a screen, switches on the back, a dial, menus. Apart from
 * the catalogue, since only who sets one up asks for it. A device of the user's own brings its menu with its facts.
 */
import type { DeviceFacts, SetUpEntry, SetUpMenu } from '../job/device-facts';
import { UNREAD_MENU } from '../job/device-facts';
import type { SettingId } from '../trade/setting-ids';

/** `name`, what each value is called, and which one it comes with. */
function entry(
  setting: SettingId,
  name: string,
  shown: Readonly<Record<string, string>>,
  preset: string | null = null
): SetUpEntry {
  return {
    setting,
    name,
    values: Object.entries(shown).map(([value, text]) => ({ value, shown: text })),
    preset
  };
}

const MENUS: Readonly<Record<string, SetUpMenu>> = {
  'de-fellgate': {
    style: 'menus',
    entries: [
      entry(
        'kind',
        'System, page 2: kind of heat',
        { air: 'Air', water: 'Water', steam: 'Steam', 'heat-pump': 'Air' },
        'air'
      ),
      entry('valve', 'System, page 2: valve', { O: 'O', B: 'B' }, 'O'),
      entry('heat-stages', 'System, page 3: heat stages', { '1': '1', '2': '2' }, '1'),
      entry('cool-stages', 'System, page 3: cool stages', { '0': 'none', '1': '1', '2': '2' }, '1'),
      entry(
        'auxiliary',
        'System, page 4: extra heat',
        { none: 'No', strips: 'Electric', burner: 'Burner' },
        'none'
      ),
      entry('fan', 'System, page 2: fan with heat', { machine: 'No', thermostat: 'Yes' }, 'machine'),
      entry('cycles', 'System, page 5: cycles', { '1': '1', '3': '3', '5': '5', '9': '9' }, '5'),
      entry('scale', 'Display: degrees', { C: '°C', F: '°F' }, 'F')
    ]
  },
  'de-weftline': {
    style: 'numbers',
    entries: [
      entry('kind', '11', { air: '1', water: '2', steam: '3', 'heat-pump': '5' }, 'air'),
      entry('valve', '14', { O: '0', B: '1' }, 'O'),
      entry('fan', '12', { machine: '0', thermostat: '1' }, 'machine'),
      entry('one-wire', '17', { no: '0', yes: '1' }, 'no'),
      entry('cycles', '24', { '1': '1', '3': '3', '5': '5', '9': '9' }, '5'),
      entry('scale', '40', { F: '0', C: '1' }, 'F')
    ]
  },
  'de-sipper': {
    style: 'questions',
    entries: [
      entry('kind', '“What heats your home?”', {
        air: 'Warm air',
        water: 'Radiators',
        steam: 'Steam radiators'
      }),
      entry('cool-stages', '“Do you have cooling?”', { '0': 'No', '1': 'Yes' }),
      entry('fan', '“Gas or electric?”', { machine: 'Gas or oil', thermostat: 'Electric' }),
      entry('power', '“Is there a wire on C?”', { 'c-wire': 'Yes', none: 'No' }),
      entry('scale', '“Which degrees?”', { C: 'Celsius', F: 'Fahrenheit' })
    ]
  },
  'de-pair': {
    style: 'switches',
    entries: [
      entry('fan', 'switch 1', { machine: 'GAS', thermostat: 'ELEC' }, 'machine'),
      entry('cycles', 'switch 2', { '5': 'left', '3': 'right' }, '5')
    ]
  },
  'de-twobridge': {
    style: 'menus',
    entries: [
      entry(
        'kind',
        'House: machine',
        { air: 'Furnace', 'heat-pump': 'Heat pump', water: 'Boiler', steam: 'Steam' },
        'air'
      ),
      entry('valve', 'House: valve', { O: 'with cooling', B: 'with heating' }, 'O'),
      entry('heat-stages', 'House: stages', { '1': 'one', '2': 'two' }, '1'),
      entry('auxiliary', 'House: auxiliary', { none: 'none', strips: 'strips', burner: 'fuel' }, 'none'),
      entry('emergency', 'House: emergency', { yes: 'own terminal', no: 'none' }, 'no'),
      entry('fan', 'House: fan in heat', { machine: 'machine', thermostat: 'thermostat' }, 'machine'),
      entry('humidifier', 'House: humidifier', { yes: 'on HUM', no: 'none' }, 'no'),
      entry('scale', 'People: degrees', { C: 'C', F: 'F' }, 'C')
    ]
  },
  'de-onebar': {
    style: 'menus',
    entries: [
      entry('supplies', 'Wiring: supplies', { one: 'one', two: 'two' }, 'one'),
      entry(
        'kind',
        'Wiring: system',
        { air: 'furnace', 'heat-pump': 'heat pump', water: 'boiler', steam: 'boiler' },
        'air'
      ),
      entry('heat-stages', 'Wiring: heat', { '1': '1', '2': '2', '3': '3' }, '1'),
      entry('cool-stages', 'Wiring: cool', { '0': '0', '1': '1', '2': '2' }, '1'),
      entry('valve', 'Wiring: valve', { O: 'O', B: 'B' }, 'O'),
      entry('auxiliary', 'Wiring: AUX', { none: 'off', strips: 'electric', burner: 'fuel' }, 'none'),
      entry('fan', 'Wiring: fan', { machine: 'auto', thermostat: 'with heat' }, 'machine')
    ]
  },
  'de-farspeak': {
    style: 'dial',
    entries: [
      entry(
        'kind',
        'the dial of the receiver',
        { air: '1', water: '3', steam: '4', 'heat-pump': '5' },
        'air'
      ),
      entry('valve', 'the small switch beside the dial', { O: 'up', B: 'down' }, 'O')
    ]
  },
  'de-cutlink': {
    style: 'numbers',
    entries: [
      entry('kind', '3', { air: 'A', water: 'H', steam: 'H' }, 'air'),
      entry('fan', '5', { machine: 'g', thermostat: 'E' }, 'machine'),
      entry('cycles', '6', { '1': '1', '3': '3', '5': '5', '9': '9' }, '5')
    ]
  },
  'de-warmonly': {
    style: 'switches',
    entries: [entry('cycles', 'the switch behind the head', { '5': 'AIR', '3': 'WATER', '1': 'STEAM' }, '5')]
  },
  'de-twocell': {
    style: 'switches',
    entries: [entry('kind', 'the switch behind the batteries', { air: 'A', water: 'W', steam: 'W' }, 'air')]
  },
  'de-kettering': {
    style: 'numbers',
    entries: [
      entry('kind', '11', { air: '1', water: '2', steam: '3', 'heat-pump': '5' }, 'air'),
      entry('heat-stages', '12', { '1': '0', '2': '1' }, '1'),
      entry('valve', '14', { O: '0', B: '1' }, 'O'),
      entry('fan', '15', { machine: '0', thermostat: '1' }, 'machine'),
      entry('one-wire', '17', { no: '0', yes: '1' }, 'no'),
      entry('scale', '40', { F: '0', C: '1' }, 'F')
    ]
  },
  'de-moistly': {
    style: 'menus',
    entries: [
      entry(
        'kind',
        'System: machine',
        { air: 'Furnace', 'heat-pump': 'Heat pump', water: 'Boiler', steam: 'Boiler' },
        'air'
      ),
      entry('heat-stages', 'System: heating', { '1': '1 stage', '2': '2 stages', '3': '3 stages' }, '1'),
      entry('cool-stages', 'System: cooling', { '0': 'none', '1': '1 stage', '2': '2 stages' }, '1'),
      entry('valve', 'System: valve', { O: 'O', B: 'B' }, 'O'),
      entry('auxiliary', 'System: auxiliary', { none: 'none', strips: 'electric', burner: 'fossil' }, 'none'),
      entry('fan', 'System: fan in heat', { machine: 'no', thermostat: 'yes' }, 'machine'),
      entry('humidifier', 'Outputs: HUM', { yes: 'on', no: 'off' }, 'no'),
      entry('dehumidifier', 'Outputs: DEHUM', { yes: 'on', no: 'off' }, 'no'),
      entry('ventilator', 'Outputs: V', { yes: 'on', no: 'off' }, 'no')
    ]
  },
  'de-narrow': {
    style: 'questions',
    entries: [
      entry('kind', 'hold both keys: “HEAT?”', { air: 'Air', water: 'Water', steam: 'Steam' }, 'air'),
      entry('fan', 'hold both keys: “FAN?”', { machine: 'no', thermostat: 'yes' }, 'machine')
    ]
  },
  'de-thrift': {
    style: 'menus',
    entries: [
      entry('power', 'Power', { 'c-wire': 'with C', none: 'without C' }, 'none'),
      entry(
        'kind',
        'Machine: kind',
        { air: 'air', water: 'water', steam: 'steam', 'heat-pump': 'heat pump' },
        'air'
      ),
      entry('valve', 'Machine: valve', { O: 'O', B: 'B' }, 'O'),
      entry('supplies', 'Machine: RH and RC', { one: 'joined', two: 'apart' }, 'one')
    ]
  }
};

/** The settings of a thermostat as its sheet has them; the shipped ones have theirs here. */
export function setUpMenuOf(device: Pick<DeviceFacts, 'id' | 'setUpMenu'>): SetUpMenu {
  return device.setUpMenu.style !== 'unknown' ? device.setUpMenu : (MENUS[device.id] ?? UNREAD_MENU);
}
