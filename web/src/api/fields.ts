/** What text says of its page: each is one character that Unicode leaves to programs. */
export const fields = [
  { id: "PAGE", character: "\ufdd0", label: "Page number" },
  { id: "PAGES", character: "\ufdd1", label: "Number of pages" },
  { id: "PART", character: "\ufdd2", label: "Name of the part" },
  { id: "PUBLICATION", character: "\ufdd3", label: "Name of the publication" },
  { id: "FILE", character: "\ufdd4", label: "Name of the file" },
  { id: "FILE_PAGE", character: "\ufdd5", label: "Page number in the file" },
  { id: "FILE_PAGES", character: "\ufdd6", label: "Number of pages in the file" },
  { id: "RUNNING_NUMBER", character: "\ufdd7", label: "Running number" },
  { id: "DATE", character: "\ufdd8", label: "Date" },
] as const;

/** Text for lists, with the names of what it says of its page. */
export const readable = (text: string) =>
  fields.reduce(
    (read, { character, label }) => read.replaceAll(character, `[${label.toLowerCase()}]`),
    text,
  );
