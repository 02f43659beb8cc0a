export function outdated(files: string[]): string[]
