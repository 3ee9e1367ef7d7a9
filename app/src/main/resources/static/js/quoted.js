// Words in quotation marks.

/** The words in double quotation marks; those among them become single ones. */
export const quoted = words =>
  `“${words
    .replace(/(^|[\s([—–])"/g, '$1‘')
    .replace(/"/g, '’')
    .replace(/“/g, '‘')
    .replace(/”/g, '’')}”`;
