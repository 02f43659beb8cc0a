export function isBehind(url: string, journal?: string): Promise<boolean>
