export function pageOf(pathname: string): string;
