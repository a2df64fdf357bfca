/**
 * The place where the cables meet as the page draws it: for each number of the wiring centre, or each terminal of the boiler where there is none, the
 * wires on it, at the left those of what feeds and asks, at the right those of what is fed.
 */
import type { MainsControls, MainsDevice, MainsEnd, MainsScrew, MainsWire } from '$core/job/mains-schema';
import type { MainsPart } from '$core/trade/mains';
import { hubsAmong } from '$core/trade/mains-hub';

export interface WireHere {
  readonly wire: MainsWire;
  /** The device that its cable goes to. */
  readonly device: MainsDevice | null;
  readonly screw: MainsScrew | null;
}

export interface NumberRow {
  readonly strip: MainsDevice;
  readonly screw: MainsScrew;
  readonly left: readonly WireHere[];
  readonly right: readonly WireHere[];
  /** Marks of the numbers of this strip that a link joins it to. */
  readonly linked: readonly string[];
}

const LEFT: readonly MainsPart[] = [
  'supply',
  'timer',
  'controller',
  'room-thermostat',
  'cylinder-thermostat',
  'frost-thermostat',
  'pipe-thermostat',
  'wall-part'
];

export function stripRows(mains: MainsControls): NumberRow[] {
  const byId = new Map(mains.devices.map((device) => [device.id as string, device]));
  return hubsAmong(mains.devices).flatMap((strip) =>
    strip.screws.map((screw): NumberRow => {
      const here = mains.wires.flatMap((wire): WireHere[] => {
        const end = (['near', 'far'] as const).find(
          (side) => wire[side].on?.device === strip.id && wire[side].on.screw === screw.id
        );
        if (!end) return [];
        const other = wire[end === 'near' ? 'far' : 'near'];
        const cable = mains.cables.find(({ id }) => id === wire.cable);
        const own = other.on?.device ?? (cable?.near === strip.id ? cable.far : cable?.near) ?? '';
        const device = byId.get(own) ?? null;
        return [{ wire, device, screw: device?.screws.find(({ id }) => id === other.on?.screw) ?? null }];
      });
      const isLeft = ({ device }: WireHere) => device === null || LEFT.includes(device.part);
      return {
        strip,
        screw,
        left: here.filter(isLeft),
        right: here.filter((wire) => !isLeft(wire)),
        linked: mains.links.flatMap((link) => {
          if (link.device !== strip.id) return [];
          const other = link.a === screw.id ? link.b : link.b === screw.id ? link.a : null;
          return strip.screws.flatMap(({ id, mark }) => (id === other ? [mark] : []));
        })
      };
    })
  );
}

/** `pump L`: the device and the print of the screw that an end is on. */
export function spotName(mains: MainsControls, { on }: MainsEnd): string {
  const device = mains.devices.find(({ id }) => id === on?.device);
  return `${device?.name ?? ''} ${device?.screws.find(({ id }) => id === on?.screw)?.mark ?? ''}`.trim();
}
