package org.sallowbrook.server.shelf;

import org.sallowbrook.core.herbarium.Taxon;

/** @param driedG grams of dried herb in the whole lot */
public record HerbView(String taxonId, String commonName, Taxon.Part part, Double driedG) {}
