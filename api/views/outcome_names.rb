# frozen_string_literal: true

require_relative "../../core/quantity/decimal"

module NutShelf
  module Api
    # How the rows of a look back are called.
    class OutcomeNames
      KINDS = {
        "eaten" => "Eaten", "given_away" => "Given away", "animals" => "Fed to animals", "composted" => "Composted",
        "binned" => "Binned", "lost" => "Lost in a count"
      }.freeze
      WHY = {
        "turned" => "it turned", "forgotten" => "forgotten at the back", "bought_too_much" => "bought too much",
        "disliked" => "nobody liked it", "pest" => "pests", "damaged" => "damaged", "recalled" => "recalled",
        "power_cut" => "lost to a power cut",
        "other" => "another reason", "counted" => "found missing in a count"
      }.freeze
      NOWHERE = { "shop" => "Shop not noted", "pack" => "Loose, or size not noted", "kit" => "No kit" }.freeze

      # @param work [Desk::UnitOfWork]
      def initialize(work)
        @work = work
      end

      # @param way [String] of Desk::LookingBack::Books::BY
      # @param key [Object] of one of its rows
      # @return [String]
      def of(way, key)
        return NOWHERE.fetch(way, "") if key.nil?

        case way
        when "reason" then reason(*key.split("/", 2))
        when "food" then @work.food(key).name
        when "group" then key.capitalize
        when "place" then @work.place(key).name
        when "shop" then shops.fetch(key, NOWHERE["shop"])
        when "pack" then pack(key)
        when "kit" then kits.fetch(key, NOWHERE["kit"])
        when "week" then key.strftime("The week of %-d %b %Y")
        when "person" then people.fetch(key, "")
        end
      end

      # @param kind [String] of Core::Outcome::KINDS
      # @param why [String, nil]
      # @return [String] "Binned, it turned"
      def reason(kind, why = nil) = [KINDS.fetch(kind), why && WHY.fetch(why, why)].compact.join(", ")

      private

      # What comes by the piece has no size of its own.
      def pack(size) = size.dimension == :count && size.amount == 1 ? "A piece" : @work.size(size)

      def shops = @shops ||= @work.house.shopping.every_shop.to_h { |shop| [shop.id, shop.name] }

      def kits = @kits ||= @work.house.kits.names

      def people = @people ||= @work.house.outcomes.people
    end
  end
end
