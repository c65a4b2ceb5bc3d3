import { NextResponse, type NextRequest } from 'next/server';

/** Everything comes from this server; scripts run only with this answer's nonce; nothing is evaluated from text. */
function policy(nonce: string, developing: boolean): string {
  return [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${developing ? " 'unsafe-eval'" : ''}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' blob: data:",
    "font-src 'self'",
    `connect-src 'self'${developing ? ' ws:' : ''}`,
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
}

/** What no page of the shop uses, and nothing brought into one may: photographs come as files, the screen stays on by its wake lock. */
const UNUSED = [
  'camera',
  'microphone',
  'geolocation',
  'payment',
  'usb',
  'serial',
  'bluetooth',
  'midi',
  'accelerometer',
  'gyroscope',
  'magnetometer',
  'display-capture',
] as const;

export function proxy(request: NextRequest): NextResponse {
  const nonce = btoa(crypto.randomUUID());
  const csp = policy(nonce, process.env.NODE_ENV === 'development');
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  headers.set('content-security-policy', csp);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('content-security-policy', csp);
  response.headers.set('x-content-type-options', 'nosniff');
  response.headers.set('referrer-policy', 'no-referrer');
  response.headers.set('cross-origin-opener-policy', 'same-origin');
  response.headers.set('permissions-policy', UNUSED.map((feature) => `${feature}=()`).join(', '));
  return response;
}

export const config = { matcher: ['/((?!_next/static|_next/image|fonts/|icon.svg|favicon.ico).*)'] };
