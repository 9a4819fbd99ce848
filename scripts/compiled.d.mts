export function compiled(entry: string, ...beside: readonly string[]): Promise<string>
