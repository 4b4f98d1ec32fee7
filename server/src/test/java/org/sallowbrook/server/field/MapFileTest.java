package org.sallowbrook.server.field;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.sallowbrook.core.field.Outline;
import org.sallowbrook.core.measure.InvalidInput;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.json.JsonMapper;

public class MapFileTest {

    private static MapFile read(String text) {
        return MapFile.read(text, JsonMapper.builder().build());
    }

    @Test
    public void kmlGivesPointsPathsAndTheOuterRingsOfAreas() {
        MapFile file = read("""
                <?xml version="1.0" encoding="UTF-8"?>
                <kml xmlns="http://www.opengis.net/kml/2.2"><Document><name>All</name>
                  <Folder><name>Fen</name>
                    <Placemark><name>Nettles &amp; more</name><Point><coordinates>11.5,48.25,0</coordinates></Point></Placemark>
                    <Placemark><Point><coordinates>11.6,48.3,520</coordinates></Point></Placemark>
                  </Folder>
                  <Placemark><name>Way</name><LineString><coordinates>
                    11.5,48.25 11.6,48.3
                    11.7,48.4,3
                  </coordinates></LineString></Placemark>
                  <Placemark><name>Wood</name><Polygon>
                    <outerBoundaryIs><LinearRing><coordinates>1,1 2,1 2,2 1,1</coordinates></LinearRing></outerBoundaryIs>
                    <innerBoundaryIs><LinearRing><coordinates>1,1 2,1 2,2 1,1</coordinates></LinearRing></innerBoundaryIs>
                  </Polygon></Placemark>
                </Document></kml>""");
        assertThat(file.places())
                .containsExactly(
                        new MapFile.Place("Nettles & more", "", "Fen", 48.25, 11.5, null),
                        new MapFile.Place("", "", "Fen", 48.3, 11.6, 520.0));
        assertThat(file.outlines()).extracting(Outline::name).containsExactly("Way", "Wood");
        assertThat(file.outlines().get(0).points()).hasSize(3);
        assertThat(file.outlines().get(1).points()).hasSize(3);
        assertThat(file.left()).isEqualTo(1);
    }

    @Test
    public void wayPointsOfADeviceAndPointsOfGeoJsonArePlaces() {
        assertThat(read("<gpx xmlns='http://www.topografix.com/GPX/1/1' version='1.1' creator='x'>"
                                + "<wpt lat='48.5' lon='11.5'><ele>500</ele><name>Spot</name><desc>stinging nettle</desc></wpt></gpx>")
                        .places())
                .containsExactly(new MapFile.Place("Spot", "stinging nettle", "", 48.5, 11.5, 500.0));
        assertThat(read("{\"type\":\"Feature\",\"geometry\":{\"type\":\"Point\",\"coordinates\":[11.5,48.5]},"
                                + "\"properties\":{\"name\":\"Spot\",\"place\":\"Fen\",\"plant\":\"Urtica dioica\"}}")
                        .places())
                .containsExactly(new MapFile.Place("Spot", "Urtica dioica", "Fen", 48.5, 11.5, null));
    }

    @DataProvider
    public Object[][] bad() {
        return new Object[][] {
            {"<kml><Placemark><Point><coordinates>east,north</coordinates></Point></Placemark></kml>"},
            {"<kml><Placemark><Point><coordinates>11</coordinates></Point></Placemark></kml>"},
            {"<kml><Placemark><Point><coordinates>NaN,1</coordinates></Point></Placemark></kml>"},
            {"<kml><Placemark>"},
            {"<!DOCTYPE kml [<!ENTITY x SYSTEM 'file:///etc/passwd'>]><kml>&x;</kml>"},
            {"<kml><name>&outside;</name></kml>"},
            {"<gpx"},
            {"nothing of the kind"},
        };
    }

    @Test(dataProvider = "bad")
    public void whatIsNoMapIsRefusedInWords(String text) {
        assertThatThrownBy(() -> read(text)).isInstanceOf(InvalidInput.class);
    }
}
