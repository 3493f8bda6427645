# frozen_string_literal: true

module NutShelf
  module Exchange
    # Words of other languages that a stock list may use for packs, units, places and states.
    module StockWords
      NOUNS = {
        "dose" => "tin", "dosen" => "tin", "glas" => "jar", "gläser" => "jar", "flasche" => "bottle",
        "flaschen" => "bottle", "packung" => "pack", "packungen" => "pack", "beutel" => "bag", "tüte" => "bag",
        "tuete" => "bag", "karton" => "box", "becher" => "tub", "tube" => "tube", "portion" => "portion",
        "portionen" => "portion", "boîte" => "tin", "boite" => "tin", "boîtes" => "tin", "boites" => "tin",
        "bocal" => "jar", "bocaux" => "jar", "pot" => "jar", "bouteille" => "bottle", "bouteilles" => "bottle",
        "paquet" => "pack", "paquets" => "pack", "sachet" => "sachet", "sachets" => "sachet", "brique" => "carton",
        "lata" => "tin", "latas" => "tin", "tarro" => "jar", "tarros" => "jar", "botella" => "bottle",
        "botellas" => "bottle", "paquete" => "pack", "paquetes" => "pack", "bolsa" => "bag", "bolsas" => "bag",
        "caja" => "box", "cajas" => "box"
      }.freeze
      UNITS = {
        "stück" => "piece", "stueck" => "piece", "stk" => "piece", "st" => "piece", "pièce" => "piece",
        "pièces" => "piece", "pcs" => "piece", "unidad" => "piece", "unidades" => "piece", "ud" => "piece",
        "uds" => "piece", "gramm" => "g", "grammes" => "g", "gramos" => "g", "liter" => "l", "litre" => "l",
        "litres" => "l", "litro" => "l", "litros" => "l"
      }.freeze
      PLACE_KINDS = {
        "fridge" => %w[
          fridge refrigerator kühlschrank kuehlschrank frigo réfrigérateur refrigerateur nevera frigorífico
          frigorifico
        ],
        "freezer" => %w[
          freezer gefrierschrank gefriertruhe tiefkühler tiefkuehler tk truhe congélateur congelateur congelador
        ],
        "cool_dark" => %w[cellar keller cave sótano sotano bodega],
        "cupboard" => %w[
          cupboard pantry larder schrank vorrat vorratsschrank speisekammer küche kueche placard armoire garde-manger
          cuisine armario despensa alacena cocina
        ]
      }.freeze
      STATES = {
        "opened" => %w[opened open offen geöffnet geoeffnet angebrochen ouvert entamé abierto abierta],
        "frozen" => %w[frozen gefroren tiefgekühlt congelé congelado],
        "leftover" => %w[leftover leftovers rest reste restes sobras],
        "home_made" => ["home_made", "home-made", "homemade", "selbstgemacht", "fait maison", "casero"],
        "home_canned" => %w[home-bottled home-canned eingekocht eingeweckt], "home_dried" => %w[home-dried],
        "unripe" => %w[unripe unreif], "thawed" => %w[thawed aufgetaut]
      }.freeze

      module_function

      # @return [String] with the words of other languages replaced by ours
      def amount(text) = text.gsub(/\p{L}+/) { |word| UNITS[word.downcase] || NOUNS[word.downcase] || word }

      # @return [String, nil] kind of place
      def place_kind(text) = PLACE_KINDS.find { |_, words| words.include?(text.downcase) }&.first

      # @return [String, nil]
      def state(text) = STATES.find { |_, words| words.include?(text.downcase) }&.first
    end
  end
end
