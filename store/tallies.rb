# frozen_string_literal: true

require "sequel"

module NutShelf
  module Store
    # Counts tries for all web processes together, each count for a while.
    class Tallies
      # @param database [Database]
      def initialize(database)
        @database = database
      end

      # INSERT INTO tallies (key, count, ends) VALUES ('login:192.0.2.7', 1, now() + '60 seconds')
      #   ON CONFLICT (key) DO UPDATE SET count = CASE WHEN tallies.ends < now() THEN 1 ELSE tallies.count + 1 END, ...
      # @param key [String]
      # @param amount [Integer]
      # @param expires_in [Integer] seconds from the first one
      # @return [Integer] how many by now
      def increment(key, amount = 1, expires_in: 60)
        @database.outside do |db|
          ends = Sequel::CURRENT_TIMESTAMP + Sequel.lit("make_interval(secs => ?)", expires_in)
          over = Sequel[:tallies][:ends] < Sequel::CURRENT_TIMESTAMP
          counted =
            db[:tallies]
              .insert_conflict(
                target: :key,
                update: {
                  count: Sequel.case({ over => amount }, Sequel[:tallies][:count] + amount),
                  ends: Sequel.case({ over => ends }, Sequel[:tallies][:ends])
                }
              )
              .returning(:count)
              .insert(key: key, count: amount, ends: ends)
          counted.first[:count].tap { |count| forget(db) if count == amount }
        end
      end

      # @return [Integer, nil]
      def read(key) = @database.outside { |db| standing(db).where(key: key).get(:count) }

      # Counts from so many on.
      def write(key, value, expires_in: 60)
        delete(key)
        increment(key, value, expires_in: expires_in)
      end

      # Forgets one count.
      def delete(key) = @database.outside { |db| db[:tallies].where(key: key).delete }

      private

      def standing(db) = db[:tallies].where { ends >= Sequel::CURRENT_TIMESTAMP }

      # Whoever comes anew clears away what is over.
      def forget(db) = db[:tallies].where { ends < Sequel::CURRENT_TIMESTAMP }.delete
    end
  end
end
