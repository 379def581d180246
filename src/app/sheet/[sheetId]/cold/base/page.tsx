import { BaseDesk } from './base-desk';

export default function BasePage() {
  return <BaseDesk />;
}
