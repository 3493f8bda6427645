# frozen_string_literal: true

module NutShelf
  module Desk
    # What named a food that became another names that one then: bags of one's own, meals of trips, boxes, the season.
    class FollowedFood
      # @param house [Store::House]
      # @param entry [Entry] of the act that makes two foods one
      # @param gone [Store::Rows::Food]
      # @param into [Store::Rows::Food]
      def initialize(house, entry, gone, into)
        @house = house
        @entry = entry
        @gone = gone
        @into = into
      end

      # @return [void]
      def call
        bags
        meals
        boxes
        season
      end

      private

      def bags
        @house.own_bags.all.each do |row|
          next if row.lines.none? { |line| line["food_key"] == @gone.key }

          lines = row.lines.map { |line| line["food_key"] == @gone.key ? { **line, "food_key" => @into.key } : line }
          @entry.alter("own_bag", row, { lines: lines })
        end
      end

      def meals
        @house.trips.meals_of(@gone.key).each { |row| @entry.alter("trip_meal", row, { dish: @into.key }) }
      end

      # So many of both, where a box wants both.
      def boxes
        @house.trips.wants_of(@gone.id).each do |row|
          other = @house.trips.box_wants(row.place_id).find { |one| one.food_id == @into.id }
          next @entry.alter("box_want", row, { food_id: @into.id }) unless other

          @entry.alter("box_want", other, { packs: [other.packs + row.packs, 999].min })
          @entry.alter("box_want", row, { archived_at: Time.now.utc.iso8601 })
        end
      end

      def season
        @house.season.all.select { |row| row.food_ids.include?(@gone.id) }.each do |row|
          ids = row.food_ids.map { |id| id == @gone.id ? @into.id : id }.uniq
          @entry.alter("season_line", row, { food_ids: ids })
        end
      end
    end
  end
end
