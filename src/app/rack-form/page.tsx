import { titled } from '@/ui/routes'
import { RackFormPage } from '@/ui/screens/rack-form/rack-form-page'

export const metadata = titled('rackForm')
export default RackFormPage
