import QRCode from 'qrcode';

/** Clear modules around a code, as readers expect (ISO/IEC 18004). */
const QUIET = 4;

/** A QR code, drawn as one path. */
export function Qr({ text, sizeMm }: { text: string; sizeMm: number }) {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: 'L' });
  const size = modules.size + 2 * QUIET;
  const dark = Array.from(modules.data.keys()).filter((i) => modules.data[i] === 1);
  const path = dark
    .map((i) => `M${(i % modules.size) + QUIET} ${Math.floor(i / modules.size) + QUIET}h1v1h-1z`)
    .join('');
  return (
    <svg
      aria-hidden
      viewBox={`0 0 ${size} ${size}`}
      shapeRendering="crispEdges"
      style={{ width: `${sizeMm}mm`, height: `${sizeMm}mm` }}
      className="shrink-0"
    >
      <path d={path} className="fill-print" />
    </svg>
  );
}
