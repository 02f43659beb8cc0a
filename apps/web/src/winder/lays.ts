/** What one turn by hand can show: which way the machine went, and how the turn lies. */
export const lays = [
  { machine: 'cw', lay: 'cw', words: 'machine clockwise, lies clockwise' },
  { machine: 'cw', lay: 'ccw', words: 'machine clockwise, lies counter-clockwise' },
  { machine: 'ccw', lay: 'cw', words: 'machine counter-clockwise, lies clockwise' },
  { machine: 'ccw', lay: 'ccw', words: 'machine counter-clockwise, lies counter-clockwise' },
] as const
