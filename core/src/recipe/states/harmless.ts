/** Jobs that do not reach what is hot beside them: herbs are torn over the own bowl while the soup simmers. Common practice. */
export const HARMLESS_BY_HEAT: ReadonlySet<string> = new Set([
  ...['wash-hands', 'wash-produce', 'tear', 'pick-leaves', 'count-out', 'weigh-scale', 'snip-scissors', 'peel-hand'],
  ...['peel-peeler', 'grate', 'crush-pestle', 'bash-bag', 'cut-soft-table-knife', 'bridge-cut', 'claw-cut', 'core', 'stone'],
  ...['crack-egg', 'separate-egg', 'pod-shell', 'lay-table', 'wipe-table', 'sweep', 'dry-put-away', 'sort-scraps', 'shake-jar'],
  ...['knead', 'rub-in', 'roll-out', 'cut-cutter', 'squeeze-juice', 'open-can', 'handle-raw-meat'],
])
