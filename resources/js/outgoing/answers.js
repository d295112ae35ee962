/** All that was said to be right of what is kept, this time and before: a new question does not open an answered one again. */
export const confirmed = (item) =>
    [...new Set([...String(item.fields.confirmed ?? '').split(','), ...item.names])].filter((name) => name !== '').join(',');
