import { NotFoundPage } from '@/ui/chrome/NotFoundPage'

export default function NotFound() {
  return <NotFoundPage />
}
