/** PDF: vectors stay vectors, fonts are embedded. The maker of PDFs is loaded only when one is asked for. */
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';

/** One A4 page for each SVG. */
export function svgPagesAsPdf(pages: readonly string[], title: string): Promise<Blob> {
  return made({
    info: { title },
    pageSize: 'A4',
    pageMargins: 0,
    content: pages.map((svg, index) => ({
      svg,
      width: 595.28,
      ...(index > 0 ? { pageBreak: 'before' as const } : {})
    }))
  });
}

/** Flowing text and drawings on A4, with the title and the number at the foot of each page. */
export function contentAsPdf(content: Content[], title: string): Promise<Blob> {
  return made({
    info: { title },
    pageSize: 'A4',
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
