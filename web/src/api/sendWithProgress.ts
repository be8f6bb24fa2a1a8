import { csrfToken, sentenceOf } from "./client";

/**
 * Sends a file as the body of a request and answers what came back.
 *
 * @param onSent told how many bytes have left so far
 * @throws Error with a sentence for the person if it is refused or does not arrive
 */
export function sendWithProgress<T>(
  path: string,
  file: File,
  onSent: (bytes: number) => void,
): Promise<T> {
  return new Promise((resolve, reject) => {
    const request = new XMLHttpRequest();
    request.open("POST", path);
    request.setRequestHeader("X-XSRF-TOKEN", csrfToken());
    request.setRequestHeader("Content-Type", "application/octet-stream");
    request.upload.onprogress = (e) => onSent(e.loaded);
    request.onload = () => {
      if (request.status < 300) resolve(JSON.parse(request.responseText) as T);
      else reject(new Error(sentenceOf(request.status, body(request))));
    };
    request.onerror = () => reject(new Error(sentenceOf(0, "")));
    request.send(file);
  });
}

/** The body of an answer if it is JSON. */
function body(request: XMLHttpRequest): unknown {
  try {
    return JSON.parse(request.responseText);
  } catch {
    return null;
  }
}
