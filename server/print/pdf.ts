/** A PDF that is being written, and its bytes once it has been ended. */
export interface Pdf {
  readonly document: PDFKit.PDFDocument;
  readonly bytes: Promise<Buffer>;
}

/**
 * Begins a PDF. What writes it is loaded when the first sheet is printed: it takes as long as the
 * rest of the server’s start.
 *
 * @param fontFile a font with the letters people use in names
 */
export async function beginPdf(options: PDFKit.PDFDocumentOptions, fontFile: string): Promise<Pdf> {
  const { default: PDFDocument } = await import('pdfkit');
  const document = new PDFDocument(options);
  const chunks: Buffer[] = [];
  const bytes = new Promise<Buffer>((resolve, reject) => {
    document.on('data', (chunk: Buffer) => chunks.push(chunk));
    document.on('end', () => resolve(Buffer.concat(chunks)));
    document.on('error', reject);
  });
  document.font(fontFile);
  return { document, bytes };
}
