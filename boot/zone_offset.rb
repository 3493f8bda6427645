# frozen_string_literal: true

module NutShelf
  module Boot
    # Offset of an IANA time zone from UTC now, from the system's own zone table.
    module ZoneOffset
      FOLDER = "/usr/share/zoneinfo"
      LOCK = Mutex.new

      module_function

      # @param name [String] such as "Europe/Dublin"
      # @return [Boolean]
      def known?(name) = name.match?(%r{\A[A-Za-z]+(?:[/_+-][A-Za-z0-9]+)*\z}) && File.file?(File.join(FOLDER, name))

      # @param name [String]
      # @return [Integer] seconds east of UTC; 0 for an unknown zone
      def seconds(name)
        return 0 unless known?(name)

        LOCK.synchronize do
          before = ENV.fetch("TZ", nil)
          ENV["TZ"] = name
          Time.now.utc_offset
        ensure
          ENV["TZ"] = before
        end
      end
    end
  end
end
