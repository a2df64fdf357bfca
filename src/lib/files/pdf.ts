/** PDF: vectors stay vectors, fonts are embedded. The maker of PDFs is loaded only when one is asked for. */
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';

/** Width of a page in points. */
const WIDTHS = { A4: 595.28, LETTER: 612, A6: 297.64 } as const;

/** One page for each SVG. */
export function svgPagesAsPdf(
  pages: readonly string[],
  title: string,
  paper: keyof typeof WIDTHS = 'A4'
): Promise<Blob> {
  return made({
    info: { title },
    pageSize: paper,
    pageMargins: 0,
    content: pages.map((svg, index) => ({
      svg,
      width: WIDTHS[paper],
      ...(index > 0 ? { pageBreak: 'before' as const } : {})
    }))
  });
}

/** Flowing text and drawings, with the title and the number at the foot of each page. */
export function contentAsPdf(
  content: Content[],
  title: string,
  paper: 'A4' | 'LETTER' = 'A4'
): Promise<Blob> {
  return made({
    info: { title },
    pageSize: paper,
    pageMargins: [45, 40, 45, 45],
    defaultStyle: { fontSize: 10, lineHeight: 1.15 },
    styles: {
      title: { fontSize: 16, bold: true, margin: [0, 0, 0, 4] },
      head: { fontSize: 12, bold: true, margin: [0, 12, 0, 4] }
    },
    footer: (page, pages) => ({ text: `${title} · ${page} of ${pages}`, fontSize: 8, alignment: 'center' }),
    content
  });
}

async function made(definition: TDocumentDefinitions): Promise<Blob> {
  const [maker, fonts] = await Promise.all([
    import('pdfmake/build/pdfmake'),
    import('pdfmake/build/vfs_fonts')
  ]);
  const pdf = 'default' in maker ? maker.default : maker;
  pdf.addVirtualFileSystem('default' in fonts ? fonts.default : (fonts as never));
  return pdf.createPdf(definition).getBlob();
}
