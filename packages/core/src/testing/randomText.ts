import fc from 'fast-check'

const signs = '0123456789.,-+<>~± eEkKMGmuµRΩVOLopenifto@%°CFin"∞−–🔧/'.split('')
const words = [
  'open',
  'OL',
  'to',
  ' ',
  '±',
  '%',
  '@',
  '500V',
  '10',
  '.5',
  ',',
  'k',
  'M',
  'Ω',
  '>',
  '<',
  '-',
  '+',
  '/',
  'at least',
  'max',
]

/** Texts of any kind, most of them near what people type. */
export const randomText = fc.oneof(
  fc.string({ maxLength: 30 }),
  fc.array(fc.constantFrom(...signs), { maxLength: 14 }).map((all) => all.join('')),
  fc.array(fc.constantFrom(...words), { maxLength: 7 }).map((all) => all.join('')),
)
