export function loader() {
  return new Response('ok\n', { headers: { 'content-type': 'text/plain' } })
}
