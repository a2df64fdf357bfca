/** A variant of a way in words. */
import type { MainsWay } from '$core/plan/mains/plan';
import type { Wiring } from '$core/wiring/graph';

export function variantText({ variant }: Pick<MainsWay, 'variant'>, found: Wiring): string {
  const rooms = found.devices.filter(
    (device) => device.kind === 'mains' && device.part === 'room-thermostat'
  );
  const room = rooms.find(({ id }) => id === variant.room);
  return [
    rooms.length > 1 && room ? `instead of the ${room.name}` : '',
    variant.join === 'link' ? 'a link where the room thermostat stood' : '',
    variant.join === 'move' ? 'the heating wire moved to where the room thermostat led' : '',
    variant.cable === 'dead' ? 'its old cable dead at both ends' : '',
    variant.cable === 'low-voltage' ? 'its old cable carries low voltage to the wall part' : ''
  ]
    .filter((word) => word !== '')
    .join('; ');
}
