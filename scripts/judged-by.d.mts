export function judgedBy(root: string): Promise<string>
