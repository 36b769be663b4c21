import { NotFoundPage } from '@/ui/cardView/CardPage'

export default function NotFound() {
  return <NotFoundPage />
}
