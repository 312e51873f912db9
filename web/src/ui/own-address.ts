/** Whether an address means the very device it is opened on, so that no other can reach it. */
export const isOwnAddress = (host: string): boolean => /^(localhost|127\.|\[::1\])/.test(host);
