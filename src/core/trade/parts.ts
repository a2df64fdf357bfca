/** Parts of devices that the circuit knows. */
export type PartName =
  | 'transformer'
  | 'fuse'
  | 'door-switch'
  | 'float-switch'
  | 'low-water-cut-off'
  | 'coil'
  | 'contact'
  | 'electronics'
  | 'joint'
  | 'lamp'
  | 'diode'
  | 'sense';
