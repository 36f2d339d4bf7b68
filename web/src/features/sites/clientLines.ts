/** What is known of a client in words, each written once. */
export const lines = [
  { key: 'phone', title: 'Phone', rows: 1, hint: 'As visitors are to read it' },
  { key: 'mail', title: 'Mail', rows: 1, hint: '' },
  { key: 'address', title: 'Address', rows: 4, hint: '' },
  { key: 'hours', title: 'Opening hours', rows: 4, hint: 'One line for each' },
] as const;
