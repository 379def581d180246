import Link from 'next/link';
import { Frame } from '../ui/frame';

export default function NotFound() {
  return (
    <Frame station={null} sheetId={null} heading={<h1 className="text-[20px]">Not in this kitchen</h1>}>
      <div className="px-6 py-12">
        <p className="mb-4 text-[17px]">There is no sheet or batch at this address. It may have been made in another data file.</p>
        <Link href="/" className="btn btn-act">
          To Today
        </Link>
      </div>
    </Frame>
  );
}
