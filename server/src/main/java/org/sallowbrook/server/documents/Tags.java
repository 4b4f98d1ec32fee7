package org.sallowbrook.server.documents;

import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDDocumentCatalog;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDNumberTreeNode;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDMarkInfo;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDMarkedContentReference;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDParentTreeValue;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureElement;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureTreeRoot;
import org.apache.pdfbox.pdmodel.documentinterchange.markedcontent.PDPropertyList;
import org.apache.pdfbox.pdmodel.documentinterchange.taggedpdf.StandardStructureTypes;
import org.apache.pdfbox.pdmodel.interactive.viewerpreferences.PDViewerPreferences;
import org.jspecify.annotations.Nullable;

/** What each piece of a paper is and in which order it is read: for whoever hears it (ISO 32000-1, 14.7 and 14.8). */
final class Tags {

    private final PDStructureTreeRoot root = new PDStructureTreeRoot();
    private final PDStructureElement document;
    private final Map<Integer, PDParentTreeValue> parents = new HashMap<>();
    private final List<PDPage> pages = new ArrayList<>();

    /** The elements of what is marked on the page in hand, by its number there. */
    private COSArray marked = new COSArray();

    private @Nullable PDStructureElement list;

    Tags(PDDocument pdf) {
        PDDocumentCatalog catalog = pdf.getDocumentCatalog();
        catalog.setLanguage("en");
        PDMarkInfo mark = new PDMarkInfo();
        mark.setMarked(true);
        catalog.setMarkInfo(mark);
        PDViewerPreferences preferences = new PDViewerPreferences(new COSDictionary());
        preferences.setDisplayDocTitle(true);
        catalog.setViewerPreferences(preferences);
        catalog.setStructureTreeRoot(root);
        document = new PDStructureElement(StandardStructureTypes.DOCUMENT, root);
        root.appendKid(document);
    }

    void page(PDPage page) {
        marked = new COSArray();
        page.setStructParents(pages.size());
        parents.put(pages.size(), new PDParentTreeValue(marked));
        pages.add(page);
    }

    /** A new element after those before it; points that follow each other are one list. */
    PDStructureElement element(String type) {
        if (!type.equals(StandardStructureTypes.LI)) {
            list = null;
            return under(document, type);
        }
        if (list == null) {
            list = under(document, StandardStructureTypes.L);
        }
        return under(under(list, StandardStructureTypes.LI), StandardStructureTypes.L_BODY);
    }

    private static PDStructureElement under(PDStructureElement parent, String type) {
        PDStructureElement element = new PDStructureElement(type, parent);
        parent.appendKid(element);
        return element;
    }

    /** What is drawn until {@link #end} belongs to it. @param spoken where it is drawn otherwise than it is read; else null */
    void begin(PDPageContentStream out, PDStructureElement element, @Nullable String spoken) throws IOException {
        COSDictionary properties = new COSDictionary();
        properties.setInt(COSName.MCID, marked.size());
        if (spoken != null) {
            properties.setString(COSName.ACTUAL_TEXT, spoken);
        }
        out.beginMarkedContent(COSName.getPDFName(element.getStructureType()), PDPropertyList.create(properties));
        PDMarkedContentReference reference = new PDMarkedContentReference();
        reference.setPage(pages.get(pages.size() - 1));
        reference.setMCID(marked.size());
        element.appendKid(reference);
        marked.add(element.getCOSObject());
    }

    /** What is drawn until {@link #end} is on every page, and not read out. */
    void beside(PDPageContentStream out) throws IOException {
        out.beginMarkedContent(COSName.ARTIFACT);
    }

    void end(PDPageContentStream out) throws IOException {
        out.endMarkedContent();
    }

    void done() {
        PDNumberTreeNode tree = new PDNumberTreeNode(PDParentTreeValue.class);
        tree.setNumbers(parents);
        root.setParentTree(tree);
        root.setParentTreeNextKey(pages.size());
    }
}
