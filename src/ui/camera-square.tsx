/** An address as a square that a camera reads. @param svg as the server has drawn it. */
export const CameraSquare = ({ svg, url }: { readonly svg: string; readonly url: string }) => (
  <div
    className="size-[168px] shrink-0 bg-paper p-2 [&>svg]:size-full"
    role="img"
    aria-label={`Square for a camera: ${url}`}
    dangerouslySetInnerHTML={{ __html: svg }}
  />
);
