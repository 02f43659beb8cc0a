export function moveDays(text: string, now?: Date): string
