import { DevicesPage } from '~/features/devices/DevicesPage'

export const meta = () => [{ title: 'Stand-in devices · Regla' }]

export default function Devices() {
  return <DevicesPage />
}
