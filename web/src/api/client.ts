import createClient from "openapi-fetch";
import type { paths } from "./schema";

/** What is sent while the window closes is still stored: the browser keeps the request alive. */
let leaving = false;
window.addEventListener("pagehide", () => (leaving = true), { capture: true });
window.addEventListener("pageshow", () => (leaving = false));

export const client = createClient<paths>({
  baseUrl: window.location.origin,
  fetch: (request) =>
    fetch(
      leaving && request.method === "POST" ? new Request(request, { keepalive: true }) : request,
    ),
});

/** What the server said is wrong, in words for people. */
export class ServerError extends Error {
  constructor(
    message: string,
    readonly status: number,
  ) {
    super(message);
  }
}

interface Answer<T> {
  data?: T;
  error?: unknown;
  response: Response;
}

function detail(error: unknown): string {
  if (typeof error === "object" && error !== null && "detail" in error) {
    return String(error.detail);
  }
  return "The server gave no answer that can be read. Reload and try again.";
}

/** The answer's data, or an error with the server's own words. */
export async function answered<T>(request: Promise<Answer<T>>): Promise<T> {
  let answer: Answer<T>;
  try {
    answer = await request;
  } catch {
    throw new ServerError("Yewberry does not answer. See whether it is still running.", 0);
  }
  if (!answer.response.ok) {
    throw new ServerError(detail(answer.error), answer.response.status);
  }
  return answer.data as T;
}

/**
 * Sends a file as it is.
 *
 * @param password that opens it
 */
export function sendFile<T>(address: string, file: File | undefined, password = ""): Promise<T> {
  const sent = async (): Promise<Answer<T>> => {
    const response = await fetch(address, {
      method: "POST",
      headers: {
        "Content-Type": "application/octet-stream",
        ...(password ? { "File-Password": encodeURIComponent(password) } : {}),
      },
      body: file ?? "",
    });
    const body: unknown = await response.json().catch(() => undefined);
    return response.ok ? { data: body as T, response } : { error: body, response };
  };
  return answered(sent());
}

/** A name that this browser gives itself, so that undo takes back its own steps. */
export function author(): string {
  const key = "yewberry-author";
  let name = localStorage.getItem(key);
  if (!name) {
    name = crypto.randomUUID();
    localStorage.setItem(key, name);
  }
  return name;
}
