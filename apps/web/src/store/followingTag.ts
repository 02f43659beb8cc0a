/** The tag behind one: its last number one higher, as many digits. Without a number at its end it gets one. */
export function followingTag(tag: string): string {
  const [, prefix = `${tag}-`, number = '1'] = /^(.*?)(\d{1,9})$/.exec(tag) ?? []
  return prefix + String(Number(number) + 1).padStart(number.length, '0')
}
