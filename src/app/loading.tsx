import { Empty } from '@/shell';

export default function Loading() {
  return <Empty title="Opening the drawer …" />;
}
