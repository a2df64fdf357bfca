/** Systems of a smart home that a thermostat may have to work with. Invented, as all makers here are. */
export const HOME_SYSTEMS = ['larkhub', 'odelle', 'thistle', 'open'] as const;
export type HomeSystem = (typeof HOME_SYSTEMS)[number];

export const HOME_SYSTEM_NAMES: Readonly<Record<HomeSystem, string>> = {
  larkhub: 'Larkhub',
  odelle: 'Odelle Home',
  thistle: 'the Thistle speaker',
  open: 'an open standard in the home network'
};
