import 'server-only';
import { toString as drawn } from 'qrcode';

/** An address of this kitchen, also drawn so that a camera reads it. */
export interface AddressDrawn {
  readonly url: string;
  readonly svg: string;
  /** It is this machine's own name, which no other reaches. */
  readonly here: boolean;
}

/** @param path as the asking screen would open it: by the name by which it reaches the server. */
export async function addressDrawn(request: Request, path: string): Promise<AddressDrawn> {
  const url = new URL(path, request.headers.get('origin') ?? request.url);
  return {
    url: url.href,
    svg: await drawn(url.href, { type: 'svg', margin: 0, errorCorrectionLevel: 'M' }),
    here: /^(?:localhost|127\.|\[::1\])/.test(url.hostname),
  };
}
