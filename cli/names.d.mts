export function ownNames(): string[];
