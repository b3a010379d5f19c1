/** What browsers leave out where the address is not secure. */
export const plainHttp =
  'This address is plain http: without the server this page cannot be loaded again, and the screen may go dark.';
