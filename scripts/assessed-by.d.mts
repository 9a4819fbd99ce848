export function assessedBy(root: string): Promise<string>
