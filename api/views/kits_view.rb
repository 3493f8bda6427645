# frozen_string_literal: true

require_relative "../../desk/kits/kit_book"
require_relative "kit_words"

module NutShelf
  module Api
    # The kits of a household and the animals they are for, as JSON.
    class KitsView
      # @param work [Desk::UnitOfWork]
      def initialize(work)
        @work = work
      end

      # @return [Hash]
      def call
        {
          kits: @work.house.kits.all.map { |kit| brief(kit) }, people: people,
          pets: @work.house.kits.pets.map { |pet| self.class.pet(pet) }
        }
      end

      # @param pet [Store::Rows::Pet]
      # @return [Hash]
      def self.pet(pet)
        { **pet.slice(:id, :name, :species, :version), kg: pet.kg && KitWords.plain(pet.kg) }
      end

      # @param kit [Store::Rows::Kit]
      # @return [Hash] as somebody set it
      def self.set(kit)
        {
          **kit.to_h.except(:archived_at, :refreshed_on, :fuel_amount, :canister),
          fuel_amount: KitWords.plain(kit.fuel_amount), canister: kit.canister && KitWords.plain(kit.canister)
        }
      end

      private

      def people
        @work.house.household.people.map do |row|
          { id: row.id, name: row.name, age: Desk::Kits::Who.age(row, @work.today), eats: row.eats || row.formula_fed }
        end
      end

      def brief(kit)
        book = Desk::Kits::KitBook.new(@work, kit, stocks: stocks)
        open = book.lines.select { |line| line.gap.positive? }
        {
          id: kit.id, name: kit.name, school: kit.school, days: kit.days, for: book.who.people.map(&:name),
          pets: book.who.pets.map(&:name), refresh_on: book.deep_pantry? ? nil : book.refresh_on.iso8601,
          must_reach: book.must_reach.iso8601, packs: book.counted.sum { |one| one.stock.supply.packs },
          not_counted: book.pages.size - book.counted.size, gaps: open.map { |line| KitWords.line(line.line) }
        }
      end

      def stocks = @stocks ||= Desk::Kits::Stocks.new(@work)
    end
  end
end
