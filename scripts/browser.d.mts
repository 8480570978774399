export const SHELL: string;
export const browserHere: () => string | null;
