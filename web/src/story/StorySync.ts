import { Fragment, Slice, type Node } from "prosemirror-model";
import { TextSelection } from "prosemirror-state";
import { ReplaceStep } from "prosemirror-transform";
import type { EditorView } from "prosemirror-view";
import type { Edit } from "../api/types";
import { afterPause } from "../ui/afterPause";
import { allWritten, idOf, nodeOf, sameWritten, stretch, together, type Written } from "./text";

/** After so long without a key a burst of typing is over, in milliseconds. */
const PAUSE = 700;

/** So long a burst is at most, so that no more than that is ever at risk. */
const MOST = 8000;

/** So often the picture follows while one types. */
const FOLLOW = 120;

interface Surroundings {
  story: string;
  read: () => EditorView | null;
  /** Stores an edit; the promise is kept with false where it was refused. */
  store: (edit: () => Edit) => Promise<boolean>;
  /** Shows what an edit would make of the page; nothing ends that. */
  tryOut: (edit: Edit | undefined) => void;
  /** Keeps what was tried out in view until the page is drawn again, or it is refused. */
  settle: (stored: Promise<boolean>) => void;
  onBusy: (busy: boolean) => void;
}

/**
 * Keeps what is written in an editor and what the server has the same. While one types, the picture
 * follows without anything being stored; a burst of typing is stored as one step.
 */
export class StorySync {
  /** As the server has it, so far as is known. */
  private known: Written[] = [];
  private knownRevision = 0;

  /** As it is being stored. */
  private sent: Written[] = [];
  private storing: Promise<void> | undefined;
  private giveUp: (() => void) | undefined;
  private follow: number | undefined;
  private since = 0;

  /** What was written when the editor was closed; nothing while it is open. */
  private last: Written[] | undefined;

  constructor(private readonly around: Surroundings) {}

  begin(story: Written[]) {
    this.known = story;
  }

  /** The editor is being closed: what is not stored yet is stored without it. */
  end() {
    window.clearTimeout(this.follow);
    this.last = this.here();
    void this.commit();
  }

  /** To be called whenever something was typed. */
  typed() {
    const now = Date.now();
    if (!this.giveUp) {
      this.since = now;
    }
    this.giveUp?.();
    const wait = Math.max(0, Math.min(PAUSE, this.since + MOST - now));
    this.giveUp = afterPause(wait, () => void this.commit());
    this.follow ??= window.setTimeout(() => {
      this.follow = undefined;
      const edit = this.pending();
      if (edit && !this.storing) {
        this.around.tryOut(edit);
      }
    }, FOLLOW);
  }

  private here(): Written[] | undefined {
    const view = this.around.read();
    return this.last ?? (view ? allWritten(view.state.doc) : undefined);
  }

  private pending(): Edit | undefined {
    const here = this.here();
    return here && this.writing(here);
  }

  /** The edit that makes what is known read otherwise; nothing where it reads so. */
  writing(here: Written[]): Edit | undefined {
    return isSame(this.known, here)
      ? undefined
      : { type: "writeText", story: this.around.story, ...stretch(this.known, here) };
  }

  /**
   * Stores what was typed, if anything was.
   *
   * @param first an edit that is stored with it, as one step
   */
  commit(first?: Edit): Promise<void> {
    this.giveUp?.();
    this.giveUp = undefined;
    if (this.last === undefined && this.around.read()?.composing) {
      return first ? this.around.store(() => first).then(() => undefined) : Promise.resolve();
    }
    if (this.storing) {
      return this.storing.then(() => this.commit(first));
    }
    const typed = this.pending();
    const here = this.here();
    const all = [first, typed].filter((each) => each !== undefined);
    const [only] = all;
    if (!only || !here) {
      return Promise.resolve();
    }
    const edit: Edit = all.length === 1 ? only : { type: "several", edits: all };
    window.clearTimeout(this.follow);
    this.follow = undefined;
    this.around.onBusy(true);
    this.sent = here;
    const stored = this.around.store(() => edit);
    this.around.settle(stored);
    this.storing = stored.then((kept) => {
      if (kept) {
        this.known = here;
      }
      this.storing = undefined;
      this.around.onBusy(false);
    });
    return this.storing;
  }

  /** Whether something was typed that waits until what is on its way is stored. */
  waits(): boolean {
    const here = this.here();
    return this.storing !== undefined && here !== undefined && !isSame(this.sent, here);
  }

  /** Takes in what the server has at a revision, and keeps what was typed here meanwhile. */
  receive(there: Written[], revision: number) {
    const view = this.around.read();
    if (
      this.last !== undefined ||
      !view ||
      this.storing ||
      view.composing ||
      revision < this.knownRevision
    ) {
      return;
    }
    this.knownRevision = revision;
    const here = allWritten(view.state.doc);
    const both = together(this.known, here, there);
    this.known = there;
    if (isSame(here, both)) {
      return;
    }
    const part = stretch(here, both);
    let from = 0;
    const first = here.findIndex((each) => sameWritten(each, part.was[0]));
    const at = part.was.length > 0 ? first : here.findIndex((e) => e.paragraph === part.behind) + 1;
    for (let i = 0; i < at; i++) {
      from += view.state.doc.child(i).nodeSize;
    }
    let to = from;
    for (let i = at; i < at + part.was.length; i++) {
      to += view.state.doc.child(i).nodeSize;
    }
    const nodes = Fragment.fromArray(part.paragraphs.map(nodeOf));
    const change = view.state.tr;
    const { anchor, head } = view.state.selection;
    const places = [anchor, head].map((place) => paragraphPlace(view.state.doc, place));
    change.step(new ReplaceStep(from, to, new Slice(nodes, 0, 0)));
    const [anchored, headed] = places.map((place) => place && positionOf(change.doc, place));
    if (anchored !== undefined && headed !== undefined) {
      // one stays in the paragraph that one is in, even if all of it is replaced
      change.setSelection(TextSelection.create(change.doc, anchored, headed));
    }
    view.dispatch(change.setMeta("server", true));
  }
}

function isSame(one: Written[], other: Written[]): boolean {
  const { was, paragraphs } = stretch(one, other);
  return was.length === 0 && paragraphs.length === 0;
}

interface ParagraphPlace {
  paragraph: string;
  offset: number;
}

function paragraphPlace(doc: Node, position: number): ParagraphPlace | undefined {
  const at = doc.resolve(position);
  return at.depth === 0
    ? undefined
    : { paragraph: idOf(at.node(1)), offset: position - at.start(1) };
}

function positionOf(doc: Node, { paragraph, offset }: ParagraphPlace): number | undefined {
  let found: number | undefined;
  doc.forEach((node, at) => {
    if (idOf(node) === paragraph) {
      found = at + 1 + Math.min(offset, node.content.size);
    }
  });
  return found;
}
