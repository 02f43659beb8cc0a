/** What iron touched to one coil and then to its sister can show, with their magnets by the compass. */
export const swings = [
  { swing: 'same', magnets: 'opposite', words: 'the same way, magnets opposite: it adds, and hum cancels' },
  { swing: 'same', magnets: 'alike', words: 'the same way, magnets alike: it adds, and so does hum' },
  { swing: 'same', magnets: 'unknown', words: 'the same way, magnets not looked at' },
  { swing: 'opposite', magnets: 'unknown', words: 'the other way: they cancel' },
] as const
