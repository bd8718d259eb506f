/** Gives a file to the browser to keep. */
export function download(bytes: Blob, name: string): void {
  const url = URL.createObjectURL(bytes)
  Object.assign(document.createElement('a'), { href: url, download: name }).click()
  window.setTimeout(() => URL.revokeObjectURL(url), 60_000)
}

/** A file's bytes as base64, as the server takes them beside other members. */
export async function base64(file: Blob): Promise<string> {
  const bytes = new Uint8Array(await file.arrayBuffer())
  let text = ''
  for (let i = 0; i < bytes.length; i += 8192) text += String.fromCharCode(...bytes.subarray(i, i + 8192))
  return btoa(text)
}
