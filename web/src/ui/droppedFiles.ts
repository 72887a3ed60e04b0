/** Files of a folder that no program shows. */
const hidden = /(^|\/)(\.|__MACOSX\/)/;

/** A file that was chosen by its folder; where it lies is told as browsers tell it. */
function within(file: File, way: string): File {
  Object.defineProperty(file, "webkitRelativePath", { value: way });
  return file;
}

function read(entry: FileSystemFileEntry): Promise<File> {
  return new Promise((resolve, reject) => entry.file(resolve, reject));
}

/** A folder tells its entries in parts, until there are none. */
async function entriesIn(folder: FileSystemDirectoryEntry): Promise<FileSystemEntry[]> {
  const reader = folder.createReader();
  const all: FileSystemEntry[] = [];
  for (;;) {
    const some = await new Promise<FileSystemEntry[]>((resolve, reject) =>
      reader.readEntries(resolve, reject),
    );
    if (some.length === 0) {
      return all;
    }
    all.push(...some);
  }
}

async function filesIn(entry: FileSystemEntry, way: string): Promise<File[]> {
  if (entry.isFile) {
    return [within(await read(entry as FileSystemFileEntry), way)];
  }
  const files: File[] = [];
  for (const each of await entriesIn(entry as FileSystemDirectoryEntry)) {
    files.push(...(await filesIn(each, `${way}/${each.name}`)));
  }
  return files;
}

/** All but what no program shows. */
export function shown(files: File[]): File[] {
  return files.filter((file) => !hidden.test(file.webkitRelativePath || file.name));
}

/** What was dropped, with all that is in folders; it is to be asked before the event is over. */
export function droppedFiles(transfer: DataTransfer): Promise<File[]> | File[] {
  const entries = [...transfer.items].map((item) => item.webkitGetAsEntry());
  if (!entries.some((entry) => entry?.isDirectory)) {
    return [...transfer.files];
  }
  const found = entries.filter((entry) => entry !== null);
  return Promise.all(found.map((entry) => filesIn(entry, entry.name))).then((all) =>
    shown(all.flat()),
  );
}
