export const aliases: Readonly<Record<string, string>>;
