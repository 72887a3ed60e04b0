import { author } from "./client";
import type { Job } from "./types";

/** That a publication was changed, as the server tells it. */
export interface StepNews {
  publication: string;
  revision: number;
  /** The browser's own name. */
  author: string;
  /** The person's, if it was typed there. */
  name: string;
}

/** That a publication came to the shelf, or went. */
export interface ShelfNews {
  publication: string;
  gone: boolean;
}

/** Begun: what was changed before is to be read. */
export type News =
  | { type: "begun" }
  | { type: "step"; step: StepNews }
  | { type: "shelf"; shelf: ShelfNews }
  | { type: "job"; job: Job }
  | { type: "named" };

const KEY = "yewberry-name";
const CHANNEL = "yewberry-news";

const listeners = new Set<(news: News) => void>();
let channel: BroadcastChannel | undefined;
let stream: EventSource | undefined;

/** The person's name, as others see it; empty until it was typed. */
export function ownName(): string {
  return localStorage.getItem(KEY) ?? "";
}

export function setOwnName(name: string) {
  localStorage.setItem(KEY, name.trim());
  tell({ type: "named" });
}

function hear(news: News) {
  if (news.type === "named" && stream) {
    openStream();
  }
  for (const each of listeners) {
    each(news);
  }
}

/** To this window and all others of the browser. */
function tell(news: News) {
  hear(news);
  channel?.postMessage(news);
}

function openStream() {
  stream?.close();
  const query = new URLSearchParams({ author: author(), name: ownName() });
  stream = new EventSource(`/api/events?${query}`);
  stream.addEventListener("begun", () => tell({ type: "begun" }));
  stream.addEventListener("step", (event) =>
    tell({ type: "step", step: JSON.parse(event.data as string) as StepNews }),
  );
  stream.addEventListener("shelf", (event) =>
    tell({ type: "shelf", shelf: JSON.parse(event.data as string) as ShelfNews }),
  );
  stream.addEventListener("job", (event) =>
    tell({ type: "job", job: JSON.parse(event.data as string) as Job }),
  );
}

/**
 * Begins to follow what others do. One window of the browser holds the stream and tells the rest: a
 * browser has few connections. When that window closes, the next takes over.
 */
function begin() {
  channel = new BroadcastChannel(CHANNEL);
  channel.onmessage = (event: MessageEvent<News>) => hear(event.data);
  const hold = () => {
    openStream();
    return new Promise<never>(() => undefined); // until the window is closed
  };
  // where the browser knows no locks, each window has a stream of its own
  void ("locks" in navigator ? navigator.locks.request(CHANNEL, hold) : hold());
}

/** @returns what ends it */
export function onNews(listener: (news: News) => void): () => void {
  if (!channel) {
    begin();
  }
  listeners.add(listener);
  return () => listeners.delete(listener);
}
