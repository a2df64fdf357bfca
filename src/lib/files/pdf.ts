/** PDF out of SVG pages: vectors stay vectors, fonts are embedded. The maker of PDFs is loaded only when one is asked for. */

export async function svgPagesAsPdf(pages: readonly string[], title: string): Promise<Blob> {
  const [maker, fonts] = await Promise.all([
    import('pdfmake/build/pdfmake'),
    import('pdfmake/build/vfs_fonts')
  ]);
  const pdf = 'default' in maker ? maker.default : maker;
  pdf.addVirtualFileSystem('default' in fonts ? fonts.default : (fonts as never));
  return pdf
    .createPdf({
      info: { title },
      pageSize: 'A4',
      pageMargins: 0,
      content: pages.map((svg, index) => ({
        svg,
        width: 595.28,
        ...(index > 0 ? { pageBreak: 'before' as const } : {})
      }))
    })
    .getBlob();
}
