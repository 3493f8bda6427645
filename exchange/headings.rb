# frozen_string_literal: true

module NutShelf
  module Exchange
    # Which heading means which field, in English, German, French and Spanish.
    module Headings
      FIELDS = %w[
        food label count amount unit place best_before use_by made_on opened_on frozen_on bought_on price price_each
        state lot_text directions method bought_for set_apart
      ].freeze

      WORDS = {
        "food" => %w[
          food item name product article what lebensmittel artikel produkt bezeichnung ware name aliment produit
          article nom denree alimento producto articulo nombre
        ],
        "label" => [
          "label", "our name", "own name", "etikett", "eigener name", "etiquette", "notre nom", "etiqueta",
          "nombre propio"
        ],
        "count" => [
          "count", "number", "pieces", "packs", "qty", "quantity", "how many", "amount of packs", "on hand",
          "in stock", "anzahl", "stueck", "stück", "stuck", "menge", "wie viele", "bestand", "vorrat", "nombre",
          "pieces", "quantite", "combien", "en stock", "cantidad", "unidades", "cuantos", "existencias", "numero",
          "nombre de"
        ],
        "amount" => [
          "amount", "size", "weight", "content", "contents", "volume", "pack size", "net weight", "net contents",
          "each holds", "packung", "gebinde", "nettogewicht", "inhalt", "gewicht", "groesse", "grosse", "füllmenge",
          "fullmenge", "packungsgroesse", "contenance", "poids", "taille", "contenu", "peso", "tamano", "contenido",
          "volumen"
        ],
        "unit" => %w[unit units einheit masseinheit unite unidad],
        "place" => %w[
          place location where shelf storage stored ort lagerort platz standort lager endroit lieu emplacement
          rangement lugar sitio ubicacion
        ],
        "best_before" => [
          "best before", "best by", "bbe", "bbd", "bb", "expiry", "expires", "expiry date", "expiration", "date",
          "mhd", "haltbar bis", "mindesthaltbarkeit", "mindestens haltbar bis", "ablaufdatum", "ddm", "dluo",
          "a consommer de preference avant", "date de peremption", "peremption", "consumir preferentemente antes",
          "consumo preferente", "caducidad", "fecha de caducidad", "vencimiento"
        ],
        "use_by" => [
          "use by", "ub", "verbrauchen bis", "zu verbrauchen bis", "verbrauchsdatum", "dlc", "a consommer jusqu au",
          "consumir antes de", "fecha limite"
        ],
        "made_on" => [
          "made on", "made", "cooked on", "cooked", "packed", "hergestellt", "gekocht am", "hergestellt am",
          "fait le", "prepare le", "cuisine le", "hecho el", "cocinado", "elaborado"
        ],
        "opened_on" => [
          "opened on", "opened", "geoeffnet am", "geoffnet am", "offen seit", "ouvert le", "abierto el", "abierto"
        ],
        "frozen_on" => [
          "frozen on", "frozen", "eingefroren am", "gefroren am", "congele le", "congelado el", "congelado"
        ],
        "bought_on" => [
          "bought on", "bought", "purchased", "purchase date", "gekauft am", "kaufdatum", "einkauf", "achete le",
          "date d achat", "comprado el", "fecha de compra"
        ],
        "price" => [
          "price", "cost", "total", "value", "paid", "preis", "kosten", "gesamtpreis", "prix", "cout", "prix total",
          "precio", "coste", "costo", "importe"
        ],
        "price_each" => [
          "price each", "each", "unit price", "stueckpreis", "stuckpreis", "einzelpreis", "prix unitaire",
          "precio unitario"
        ],
        "state" => %w[state condition zustand status etat estado],
        "lot_text" => ["lot", "lot number", "batch", "charge", "chargennummer", "numero de lot", "lote"],
        "directions" => ["directions", "how to prepare", "zubereitung", "preparation", "preparacion"],
        "method" => ["kept in", "stored in", "aufbewahrt in", "garde dans", "guardado en"],
        "bought_for" => ["bought for", "gekauft fuer", "gekauft fur", "achete pour", "comprado para"],
        "set_apart" => ["set apart", "not to eat", "gesperrt", "mis a part", "apartado"]
      }.freeze

      module_function

      # A unit that stands in a heading counts for every cell below: "Weight (oz)", "Gewicht [g]", "Menge in kg".
      UNIT =
        /(?:[(\[]\s*|\bin\s+)
         (kg|g|mg|lbs?|oz|l|dl|cl|ml|fl\.?\ ?oz|pounds?|ounces?|grams?|gramm|liter|litre|pieces?|stück|stk)
         \s*[)\]]?\s*\z/xi

      # @param heading [String]
      # @return [String, nil] the unit in it
      def unit(heading) = heading[UNIT, 1]&.downcase&.delete(".")

      # @param heading [String]
      # @return [String, nil] field, nil when nothing fits
      def field(heading)
        plain = normal(heading.sub(UNIT, ""))
        exact = WORDS.find { |_, words| words.any? { |word| normal(word) == plain } }
        return exact.first if exact

        WORDS.find do |_, words|
          words.any? { |word| normal(word).length > 3 && plain.match?(/\b#{Regexp.escape(normal(word))}\b/) }
        end
          &.first
      end

      # Lower case, no accents, words apart by one space.
      def normal(text)
        text.unicode_normalize(:nfd).gsub(/\p{Mn}/, "").downcase.gsub(/ß/, "ss").gsub(/[^a-z0-9]+/, " ").strip
      end
    end
  end
end
