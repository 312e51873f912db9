/** What a request is answered with; the body is JSON. */
export interface ApiResponse {
  readonly status: number;
  readonly body: string;
}

/** A refusal in words, and the path of each thing wrong. */
export function refusal(
  status: number,
  error: string,
  faults: readonly { readonly path: string; readonly message: string }[] = [],
): ApiResponse {
  return { status, body: JSON.stringify({ error, faults }) };
}
