/** The files a text may come in, by the ends of their names. */
export const TEXT_FILES = ['.txt', '.html', '.htm', '.csv', '.eml', '.pdf'] as const
type TextFile = (typeof TEXT_FILES)[number]

/** What kind of text a file holds, by its name; nothing where it is none that can be read. */
export const textFileOf = ({ name }: Pick<File, 'name'>): TextFile | undefined =>
  TEXT_FILES.find((end) => name.toLowerCase().endsWith(end))

export const isTextFile = (file: Pick<File, 'name'>): boolean => textFileOf(file) !== undefined
