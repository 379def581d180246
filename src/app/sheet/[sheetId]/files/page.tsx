import { FilesDesk } from './files-desk';

export default function FilesPage() {
  return <FilesDesk />;
}
