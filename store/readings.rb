# frozen_string_literal: true

require_relative "table"

module NutShelf
  module Store
    # The last reading of a device that speaks to the household, such as a kitchen scale.
    class Readings < Table
      # @return [Rows::Reading, nil]
      def last(device) = rows(:device_readings).where(device: device).first

      # INSERT INTO device_readings ... ON CONFLICT (household_id, device) DO UPDATE SET reading = ...
      def keep(device, reading)
        db[:device_readings].insert_conflict(
          target: %i[household_id device],
          update: {
            reading: json(reading),
            read_at: Sequel::CURRENT_TIMESTAMP
          }
        ).insert(household_id: household_id, device: device, reading: json(reading))
      end
    end
  end
end
