import { answered, author, client, sendFile, ServerError } from "../api/client";
import type { Asset, Edit, Schemas } from "../api/types";
import { messageOf } from "../ui/words";

type FileIn = Schemas["FileIn"];

/** What files are put in order by. */
export type Order = "name" | "date";

const collator = new Intl.Collator("en", { numeric: true });

/** In the order of their names, as people count: 9 before 10; or of when they were last changed. */
export function inOrder(files: File[], order: Order): File[] {
  const byName = [...files].sort((one, other) => collator.compare(wayOf(one), wayOf(other)));
  return order === "name"
    ? byName
    : byName.sort((one, other) => one.lastModified - other.lastModified);
}

/** The name of a file with the folders it was chosen in. */
export function wayOf(file: File): string {
  return file.webkitRelativePath || file.name;
}

/** What became of files that were opened. */
export interface Opened {
  /** The publication that they are in; nothing if none could be opened. */
  id?: string;
  files: number;
  pages: number;
  refused: { name: string; why: string }[];
}

function pagesOf(asset: Asset): number {
  return asset.content.type === "document" ? asset.content.pages.length : 0;
}

/** What opens a file, asked for by its name and why; nothing if it is left out. */
export type Ask = (name: string, why: string) => Promise<string | undefined>;

/** Passwords that opened a file often open the next one: they are tried before asking. */
class Passwords {
  private readonly known: string[] = [];

  constructor(private readonly ask: Ask) {}

  /** Tries until it is not locked any more, or nobody knows how to open it. */
  async open<T>(name: string, attempt: (password: string) => Promise<T>): Promise<T> {
    const candidates = ["", ...this.known];
    for (;;) {
      const password = candidates.shift() ?? "";
      try {
        const opened = await attempt(password);
        if (password && !this.known.includes(password)) {
          this.known.unshift(password);
        }
        return opened;
      } catch (error) {
        if (!(error instanceof ServerError && error.status === LOCKED)) {
          throw error;
        }
        if (candidates.length === 0) {
          const typed = await this.ask(name, error.message);
          if (typed === undefined) {
            throw error;
          }
          candidates.push(typed);
        }
      }
    }
  }
}

const LOCKED = 423;

/** The step that puts all pages of a file behind a page. */
function added(asset: Asset, pages: string[], after: string, parent: string | undefined): Edit {
  return {
    type: "several",
    edits: [
      { type: "addAsset", asset },
      {
        type: "addImported",
        asset: asset.id,
        first: 1,
        pages,
        after,
        ...(parent ? { parent } : {}),
      },
    ],
  };
}

/** Where the pages of files come in a publication that is there. */
export interface Place {
  id: string;
  revision: number;
  /** The page that they come after. */
  last: string;
  parent: string | undefined;
}

/**
 * Opens files in their order, one after the other, as one publication, whose pages are theirs. One that cannot be
 * opened does not hold up the others.
 *
 * @param onProgress is told before each file, and ends the work by answering false
 * @param ask for the password of a file that needs one
 * @param into the publication that they come into; a new one where there is none
 */
export async function openFiles(
  inTheirOrder: File[],
  onProgress: (done: number, name: string) => boolean,
  ask: Ask,
  into?: Place,
): Promise<Opened> {
  const opened: Opened = { files: 0, pages: 0, refused: [], ...(into ? { id: into.id } : {}) };
  let end: Omit<Place, "id"> | undefined = into;
  const passwords = new Passwords(ask);
  const took = (all: FileIn[]) => {
    for (const each of all) {
      if (each.asset) {
        opened.files++;
        opened.pages += pagesOf(each.asset);
      } else {
        opened.refused.push({ name: each.name, why: each.refused ?? "" });
      }
    }
  };
  const put = async (id: string, asset: Asset) => {
    end ??= await lastOf(id);
    const pages = Array.from({ length: pagesOf(asset) }, () => crypto.randomUUID());
    const step: Schemas["StepResult"] = await answered(
      client.POST("/api/publications/{id}/edits", {
        params: { path: { id } },
        body: {
          edit: added(asset, pages, end.last, end.parent),
          revision: end.revision,
          author: author(),
        },
      }),
    );
    end = { ...end, revision: step.revision, last: pages.at(-1) ?? end.last };
  };
  /** Files within a zip file that need passwords: the zip file is sent with each of them. */
  const unlock = async (id: string, address: string, file: File, all: FileIn[]) => {
    for (const { name } of all.filter((each) => each.locked)) {
      try {
        const asset = await passwords.open(name, async (password) => {
          const again = await sendFile<FileIn[]>(address, file, password);
          const found = again.find((each) => each.name === name);
          if (!found?.asset) {
            throw new ServerError(found?.refused ?? "", found?.locked ? LOCKED : 0);
          }
          return found.asset;
        });
        await put(id, asset);
        took([{ name, asset, locked: false }]);
      } catch (error) {
        opened.refused.push({ name, why: messageOf(error) });
      }
    }
  };
  for (const [index, file] of inTheirOrder.entries()) {
    if (!onProgress(index, file.name)) {
      break;
    }
    const name = encodeURIComponent(wayOf(file));
    try {
      if (!opened.id) {
        const address = `/api/publications/documents?name=${name}${called(inTheirOrder)}`;
        const created = await passwords.open(wayOf(file), (password) =>
          sendFile<Schemas["SetCreated"]>(address, file, password),
        );
        took(created.files.filter((each) => !each.locked));
        opened.id = created.id;
        const files = `/api/publications/${created.id}/files?name=${name}`;
        await unlock(created.id, files, file, created.files);
        continue;
      }
      const id = opened.id;
      const address = `/api/publications/${id}/files?name=${name}`;
      const all = await sendFile<FileIn[]>(address, file);
      for (const { asset } of all) {
        if (asset) {
          await put(id, asset);
        }
      }
      took(all.filter((each) => !each.locked));
      await unlock(id, address, file, all);
    } catch (error) {
      opened.refused.push({
        name: wayOf(file),
        why: messageOf(error),
      });
    }
  }
  return opened;
}

/** Many files are called after the folder that they are in. */
function called(files: File[]): string {
  if (files.length === 1) {
    return "";
  }
  const folder = files[0]?.webkitRelativePath.split("/")[0] ?? "";
  return `&called=${encodeURIComponent(folder || `${files.length} files`)}`;
}

async function lastOf(id: string) {
  const whole = await answered(client.GET("/api/publications/{id}", { params: { path: { id } } }));
  const count = whole.pages;
  const { pages } = await answered(
    client.GET("/api/publications/{id}/pages", {
      params: { path: { id }, query: { from: Math.max(0, count - 1), to: count } },
    }),
  );
  const last = pages.at(-1);
  if (!last) {
    throw new Error("The publication has no page; reload to see.");
  }
  return { revision: whole.revision, last: last.id, parent: last.parent };
}
