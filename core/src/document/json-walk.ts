/** JSON of which no shape is known yet: what migrations walk. */
export type Json = Record<string, unknown>;

export const isJson = (value: unknown): value is Json =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** A member changed where it is an object, else left for the schema to name. */
export const within = (document: Json, key: string, change: (member: Json) => Json): Json => {
  const member = document[key];
  return isJson(member) ? { ...document, [key]: change(member) } : document;
};

/** Every object of a member that is a list changed; anything else left for the schema to name. */
export const eachOf = (document: Json, key: string, change: (member: Json) => Json): Json => {
  const list = document[key];
  if (!Array.isArray(list)) return document;
  return { ...document, [key]: list.map((entry) => (isJson(entry) ? change(entry) : entry)) };
};
