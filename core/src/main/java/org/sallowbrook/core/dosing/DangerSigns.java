package org.sallowbrook.core.dosing;

import java.util.List;

/**
 * Signs at which to stop and get help, in two bands; shown with every course and on the page for when something is wrong. As
 * first aid and poison centres give them to lay people.
 */
public final class DangerSigns {

    /** Call the emergency service at once. */
    public static final List<String> NOW = List.of(
            "trouble breathing",
            "swelling of face, tongue or throat",
            "fainting, or cannot be woken or is very drowsy",
            "a fit",
            "chest pain",
            "a racing or stumbling heart",
            "bleeding that is not usual",
            "vomiting or diarrhoea that does not stop",
            "severe belly pain",
            "blurred sight, wide pupils or a dry hot skin",
            "sudden weakness or numbness",
            "confusion",
            "blisters or peeling skin");

    /** See a doctor today. */
    public static final List<String> TODAY =
            List.of("yellow skin or eyes", "a rash that spreads", "little or no urine", "three days of fever");

    private DangerSigns() {}
}
