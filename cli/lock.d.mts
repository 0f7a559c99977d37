export function takeLock(folder: string): Promise<{ release: () => void } | null>;
export function lockHolder(folder: string): Promise<number | null>;
